import { brotliCompressSync, constants, gzipSync } from 'node:zlib'
import { strongEtag } from '../publishing/etag'

/** An answer that is sent many times: its bytes, plain and compressed, and its headers. */
export interface Prepared {
  etag: string
  headers: Record<string, string>
  plain: Buffer
  gzip: Buffer | null
  brotli: Buffer | null
}

/** Shorter answers fit into one packet anyway. In bytes. */
export const WORTH_COMPRESSING = 600

/** Files of a release are compressed better when it is built. */
const GZIP_LEVEL = 6
const BROTLI_QUALITY = 5

type Compressed = Pick<Prepared, 'gzip' | 'brotli'>

/** For formats that are compressed already, such as fonts and pictures. */
export const asItIs: Compressed = { gzip: null, brotli: null }

/** @param compressed the body, compressed before */
export function prepare(
  body: string | Buffer,
  headers: Record<string, string>,
  compressed?: Compressed,
): Prepared {
  const plain = Buffer.from(body)
  const { gzip, brotli } = compressed ?? compress(plain)
  const etag = strongEtag(plain)
  return {
    etag,
    headers: {
      'X-Content-Type-Options': 'nosniff',
      'Referrer-Policy': 'strict-origin-when-cross-origin',
      ...headers,
      ...(gzip || brotli ? { Vary: 'Accept-Encoding' } : {}),
      ETag: etag,
    },
    plain,
    gzip,
    brotli,
  }
}

function compress(plain: Buffer): Compressed {
  if (plain.length < WORTH_COMPRESSING) return asItIs
  const params = {
    [constants.BROTLI_PARAM_SIZE_HINT]: plain.length,
    [constants.BROTLI_PARAM_QUALITY]: BROTLI_QUALITY,
  }
  return { gzip: gzipSync(plain, { level: GZIP_LEVEL }), brotli: brotliCompressSync(plain, { params }) }
}

/** Bytes from a thread arrive as plain arrays. */
export const asBuffers = ({ plain, gzip, brotli, ...prepared }: Prepared): Prepared => ({
  ...prepared,
  plain: Buffer.from(plain),
  gzip: gzip && Buffer.from(gzip),
  brotli: brotli && Buffer.from(brotli),
})
