import { promisify } from 'node:util'
import { brotliCompress, constants, gzip } from 'node:zlib'
import { takenEncodings } from './encodings'
import { WORTH_COMPRESSING } from './prepared'

/** Not streams of events, which are passed on as they come. */
const compressible =
  /^(?:text\/(?!event-stream)|application\/(?:json|xml|atom\+xml|manifest\+json)|image\/svg)/i
/** The kind of the router's own answers. */
const routed = /^text\/x-script/i
const [brotliOf, gzipOf] = [promisify(brotliCompress), promisify(gzip)]
/** Pages are compressed for each request, so with little effort. */
const EFFORT = { brotli: 4, gzip: 6 }

/**
 * The same answer, compressed if its kind and the client allow it. The router's answer to a change is small, and goes
 * out at once, so that the event that tells open pages of the change does not overtake it.
 */
export async function compressed(
  answer: Response,
  { accept, method }: { accept: string | null; method: string },
): Promise<Response> {
  const { body, status, statusText } = answer
  const kind = answer.headers.get('Content-Type') ?? ''
  if (body === null || !compressible.test(kind) || answer.headers.has('Content-Encoding')) return answer
  if (routed.test(kind) && method !== 'GET') return answer
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
