const evidenceKinds = ['png', 'jpeg', 'webp', 'pdf', 'text'] as const
export type EvidenceKind = (typeof evidenceKinds)[number]

/** The largest file, in bytes. */
export const MOST_EVIDENCE_BYTES = 3_000_000
/** The most files of one review. */
export const MOST_EVIDENCE_FILES = 10

const starts: [kind: EvidenceKind, offset: number, bytes: number[]][] = [
  ['png', 0, [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]],
  ['jpeg', 0, [0xff, 0xd8, 0xff]],
  ['webp', 8, [0x57, 0x45, 0x42, 0x50]],
  ['pdf', 0, [0x25, 0x50, 0x44, 0x46, 0x2d]],
]

/** The kind of a file by its content, whatever its name says; null if it is none of these. */
export function evidenceKind(content: Uint8Array): EvidenceKind | null {
  if (content.length === 0) return null
  const found = starts.find(([, offset, bytes]) => bytes.every((byte, i) => content[offset + i] === byte))
  if (found) return found[0]
  return isText(content) ? 'text' : null
}

/** UTF-8 without control characters other than tab and line breaks. */
function isText(content: Uint8Array): boolean {
  if (content.some((byte) => byte < 0x20 && byte !== 0x09 && byte !== 0x0a && byte !== 0x0d)) return false
  try {
    new TextDecoder('utf-8', { fatal: true }).decode(content)
    return true
  } catch {
    return false
  }
}

/** A file name without folders, control characters and excess length. */
export function evidenceName(given: string): string {
  const name = (given.split(/[/\\]/).at(-1) ?? '').replace(/\p{C}/gu, '').trim()
  return name.slice(-100) || 'file'
}
