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

/** The effort of compression; files of a release may take long. */
const levels = { quickly: { gzip: 6, brotli: 5 }, thoroughly: { gzip: 9, brotli: 11 } }

/** @param compress `never` for compressed formats such as fonts and pictures */
export function prepare(
  body: string | Buffer,
  headers: Record<string, string>,
  compress: 'never' | keyof typeof levels = 'thoroughly',
): Prepared {
  const plain = Buffer.from(body)
  const worth = compress !== 'never' && plain.length >= WORTH_COMPRESSING
  const level = levels[compress === 'never' ? 'quickly' : compress]
  const etag = strongEtag(plain)
  return {
    etag,
    headers: {
      'X-Content-Type-Options': 'nosniff',
      'Referrer-Policy': 'strict-origin-when-cross-origin',
      ...headers,
      ...(worth ? { Vary: 'Accept-Encoding' } : {}),
      ETag: etag,
    },
    plain,
    gzip: worth ? gzipSync(plain, { level: level.gzip }) : null,
    brotli: worth
      ? brotliCompressSync(plain, {
          params: {
            [constants.BROTLI_PARAM_SIZE_HINT]: plain.length,
            [constants.BROTLI_PARAM_QUALITY]: level.brotli,
          },
        })
      : null,
  }
}
