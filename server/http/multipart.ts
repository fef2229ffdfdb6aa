import { setImmediate as nextTurn } from 'node:timers/promises'

/** One part of a multipart form (RFC 7578). */
export interface Part {
  name: string
  /** Null for a field that is no file. */
  filename: string | null
  type: string
  body: Buffer
}

const MAX_HEADER_BYTES = 4096
/** The number of bytes searched at a time, so that a large form doesn't block the process. */
const SLICE_BYTES = 2_000_000
const LINE_END = '\r\n'
const HEADER_END = Buffer.from('\r\n\r\n')

/**
 * Splits a multipart body without copying it. The packages for this either crash on a truncated part or block
 * the process for a second on a large form.
 * @returns null if the body is incomplete, `tooMany` if it has too many parts
 */
export async function partsOf(
  body: Buffer,
  boundary: string,
  maxParts: number,
): Promise<Part[] | 'tooMany' | null> {
  const delimiter = Buffer.from(`${LINE_END}--${boundary}`)
  const first = delimiter.subarray(LINE_END.length)
  if (!body.subarray(0, first.length).equals(first)) return null
  const parts: Part[] = []
  let at = first.length
  while (body.toString('latin1', at, at + 2) !== '--') {
    if (body.toString('latin1', at, at + 2) !== LINE_END) return null
    if (parts.length === maxParts) return 'tooMany'
    const end = await findFrom(body, delimiter, at)
    const part = end < 0 ? null : readPart(body.subarray(at + LINE_END.length, end))
    if (!part) return null
    parts.push(part)
    at = end + delimiter.length
  }
  return parts
}

async function findFrom(body: Buffer, sought: Buffer, from: number): Promise<number> {
  for (let at = from; at < body.length; at += SLICE_BYTES) {
    const found = body.subarray(at, at + SLICE_BYTES + sought.length - 1).indexOf(sought)
    if (found >= 0) return at + found
    await nextTurn()
  }
  return -1
}

function readPart(part: Buffer): Part | null {
  const headerEnd = part.subarray(0, MAX_HEADER_BYTES).indexOf(HEADER_END)
  if (headerEnd < 0) return null
  const headers = part.toString('utf8', 0, headerEnd).split(LINE_END)
  const valueOf = (header: string) =>
    headers.find((line) => line.toLowerCase().startsWith(`${header}:`))?.slice(header.length + 1) ?? ''
  const disposition = valueOf('content-disposition')
  const name = parameter(disposition, 'name')
  if (name === null || !/^\s{0,2}form-data\s{0,2};/i.test(disposition)) return null
  return {
    name,
    filename: parameter(disposition, 'filename'),
    type: valueOf('content-type').trim(),
    body: part.subarray(headerEnd + HEADER_END.length),
  }
}

/** Browsers write quotes and line breaks in names as %22, %0D and %0A. */
function parameter(disposition: string, name: string): string | null {
  const found = new RegExp(`;\\s{0,2}${name}="([^"]*)"`, 'i').exec(disposition)?.[1]
  return found?.replace(/%(22|0D|0A)/gi, decodeURIComponent) ?? null
}
