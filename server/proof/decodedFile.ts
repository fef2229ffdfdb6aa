import { createReadStream } from 'node:fs'

/** The text of a file in chunks, with the number of bytes read. */
interface DecodedFile {
  text: AsyncIterable<string>
  bytesRead: () => number
}

/** Decodes like `core/formats/decodeFile`, with constant memory. */
export async function decodedFile(file: string): Promise<DecodedFile> {
  const encoding = await encodingOf(file)
  const bytes = createReadStream(file)
  async function* text() {
    const decoder = new TextDecoder(encoding)
    for await (const part of bytes) {
      const read: Buffer = part
      yield decoder.decode(read, { stream: true })
    }
    yield decoder.decode()
  }
  return { text: text(), bytesRead: () => bytes.bytesRead }
}

/** The encoding of its byte order mark, otherwise UTF-8, otherwise that of old spreadsheets. */
async function encodingOf(file: string): Promise<string> {
  const decoder = new TextDecoder('utf-8', { fatal: true })
  let isFirst = true
  for await (const read of createReadStream(file)) {
    const part: Buffer = read
    if (isFirst && part[0] === 0xff && part[1] === 0xfe) return 'utf-16le'
    if (isFirst && part[0] === 0xfe && part[1] === 0xff) return 'utf-16be'
    isFirst = false
    try {
      decoder.decode(part, { stream: true })
    } catch {
      return 'windows-1252'
    }
  }
  return 'utf-8'
}
