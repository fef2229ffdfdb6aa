/** What tells a row apart from the others. */
interface RowIdentity {
  name: string
  /** ISO day or moment; null if unknown. */
  writtenAt: string | null
  /** Everything else that visitors could read. */
  says: string
}

/**
 * A key for each row of a sheet, which stays the same when rows are added, moved or corrected. Rows have no id
 * of their own: it's name and date if both are given or the date has a time of day, else all that the row
 * says. Rows that are equal in this are numbered, the oldest first.
 * @param address of the sheet, so that the rows of two sheets differ
 */
export function rowKeys(address: string, rows: RowIdentity[]): string[] {
  const keys: string[] = []
  const times = new Map<string, number>()
  for (const i of oldestFirst(rows)) {
    const { name, writtenAt, says } = rows[i]!
    const isTold = writtenAt !== null && (name !== '' || writtenAt.length > 10)
    const hash = hashOf(
      JSON.stringify(isTold ? [address, name, writtenAt] : [address, name, writtenAt, says]),
    )
    const number = (times.get(hash) ?? 0) + 1
    times.set(hash, number)
    keys[i] = number === 1 ? hash : `${hash}-${number}`
  }
  return keys
}

/** The positions of rows by age: by their dates, or from the top down if these don't tell. */
export function oldestFirst(rows: Pick<RowIdentity, 'writtenAt'>[]): number[] {
  const dated = rows.flatMap(({ writtenAt }) => writtenAt ?? [])
  const isNewestOnTop = dated.length > 1 && dated[0]! > dated.at(-1)!
  const positions = rows.map((_, i) => (isNewestOnTop ? rows.length - 1 - i : i))
  return positions.toSorted((a, b) => compare(rows[a]!.writtenAt ?? '', rows[b]!.writtenAt ?? ''))
}

const compare = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0)

/** FNV-1a with two different starts, 64 bits together, in hexadecimal. */
function hashOf(text: string): string {
  let [first, second] = [0x811c9dc5, 0x9747b28c]
  for (let i = 0; i < text.length; i++) {
    const unit = text.charCodeAt(i)
    first = Math.imul(first ^ unit, 0x01000193)
    second = Math.imul(second ^ unit, 0x01000193)
  }
  return [first, second].map((half) => (half >>> 0).toString(16).padStart(8, '0')).join('')
}
