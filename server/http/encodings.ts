/** A quality of 0 means that the client refuses the encoding. */
const takes = (coding: string) =>
  new RegExp(`(?:^|[\\s,])${coding}(?!\\s*;\\s*q=0(?:\\.0*)?\\s*(?:,|$))`, 'i')
const [takesBrotli, takesGzip] = [takes('br'), takes('gzip')]

/** Whether a client takes Brotli and gzip, by its `Accept-Encoding`. */
export const takenEncodings = (accept: string | null | undefined): { brotli: boolean; gzip: boolean } => ({
  brotli: !!accept && takesBrotli.test(accept),
  gzip: !!accept && takesGzip.test(accept),
})
