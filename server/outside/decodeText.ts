const DECLARED_WITHIN = 1024

/** Decodes text by the character set of its header, byte order mark or first lines; otherwise UTF-8. */
export function decodeText(body: Buffer, contentType: string): string {
  const inside = /charset\s{0,5}=?\s{0,5}["']?\s{0,5}([\w-]{1,40})/i
  const named =
    inside.exec(contentType)?.[1] ??
    inside.exec(body.subarray(0, DECLARED_WITHIN).toString('latin1'))?.[1] ??
    'utf-8'
  try {
    return new TextDecoder(named).decode(body)
  } catch {
    return new TextDecoder().decode(body)
  }
}
