import { promisify } from 'node:util'
import { brotliCompress, constants, gzip } from 'node:zlib'
import { takenEncodings } from './encodings'
import { WORTH_COMPRESSING } from './prepared'

/** Not streams of events, which are passed on as they come. */
const compressible =
  /^(?:text\/(?!event-stream)|application\/(?:json|xml|atom\+xml|manifest\+json)|image\/svg)/i
const [brotliOf, gzipOf] = [promisify(brotliCompress), promisify(gzip)]
/** Pages are compressed for each request, so with little effort. */
const EFFORT = { brotli: 4, gzip: 6 }

/** The same answer, compressed if its kind and the client allow it. */
export async function compressed(answer: Response, accept: string | null): Promise<Response> {
  const { body, status, statusText } = answer
  const kind = answer.headers.get('Content-Type') ?? ''
  if (body === null || !compressible.test(kind) || answer.headers.has('Content-Encoding')) return answer
  const plain = Buffer.from(await answer.arrayBuffer())
  const headers = new Headers(answer.headers)
  headers.append('Vary', 'Accept-Encoding')
  const { brotli, gzip } = takenEncodings(accept)
  const bytes =
    plain.length < WORTH_COMPRESSING || !(brotli || gzip)
      ? plain
      : brotli
        ? await brotliOf(plain, { params: { [constants.BROTLI_PARAM_QUALITY]: EFFORT.brotli } })
        : await gzipOf(plain, { level: EFFORT.gzip })
  if (bytes !== plain) headers.set('Content-Encoding', brotli ? 'br' : 'gzip')
  headers.set('Content-Length', String(bytes.length))
  return new Response(new Uint8Array(bytes), { status, statusText, headers })
}
