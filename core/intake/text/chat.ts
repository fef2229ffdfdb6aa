import { findDate } from './date'
import { partOf, type Line } from './lines'

/** A message of one person in a pasted chat. */
interface ChatTurn {
  who: Line
  date: { iso: string; start: number; end: number } | null
  words: Line[]
}

const who = String.raw`(?<who>[^\s:,[\]()][^:,[\]]{0,38}?)`
const stamps = [
  new RegExp(String.raw`^\u200e?\[(?<stamp>[^\]]{6,30})\]\s*${who}\s*:\s*`, 'u'),
  new RegExp(
    String.raw`^\u200e?(?<stamp>\d{1,4}[./-]\d{1,2}[./-]\d{2,4},?\s+\d{1,2}[:.]\d{2}(?::\d{2})?(?:\s*[ap]m)?)\s*[-–]\s*${who}\s*:\s*`,
    'iu',
  ),
  new RegExp(String.raw`^${who}\s*[[(](?<stamp>[^\])]*\d{1,2}:\d{2}[^\])]*)[\])]\s*:?\s*`, 'u'),
  new RegExp(String.raw`^(?<stamp>\d{1,2}:\d{2}(?:\s*[AP]M)?)\s+${who}\s*:?\s*$`, 'u'),
  new RegExp(String.raw`^${who},?\s+(?<stamp>\d{1,2}:\d{2}(?:\s*[AP]M)?)\s*:?\s*$`, 'u'),
]

/** Splits a chat into messages; null if it is no chat. */
export function readChat(lines: Line[]): ChatTurn[] | null {
  const turns: ChatTurn[] = []
  let before = 0
  for (const line of lines) {
    const match = stamps.map((stamp) => stamp.exec(line.text)).find((found) => found !== null)
    if (!match) {
      if (turns.length > 0) turns.at(-1)!.words.push(line)
      else if (line.text.trim()) before++
      continue
    }
    const at = match[0].indexOf(match.groups!.who!)
    const stampAt = match[0].indexOf(match.groups!.stamp!)
    const date = findDate(match.groups!.stamp!)
    const rest = partOf(line, match[0].length)
    turns.push({
      who: partOf(line, at, at + match.groups!.who!.length),
      date: date && {
        iso: date.iso,
        start: line.start + stampAt + date.start,
        end: line.start + stampAt + date.end,
      },
      words: rest.text ? [rest] : [],
    })
  }
  return turns.length >= 1 && before <= 1 ? turns : null
}

/** The messages of the customer: of all names that aren't the shop's, the one with the most text. */
export function customersTurns(turns: ChatTurn[], ownNames: string[]): ChatTurn[] {
  const own = new Set(ownNames.map((name) => name.toLowerCase()))
  const said = new Map<string, number>()
  for (const turn of turns) {
    const name = turn.who.text.toLowerCase()
    if (own.has(name) || ['you', 'me', 'du', 'ich', 'tú', 'yo', 'toi', 'moi'].includes(name)) continue
    said.set(name, (said.get(name) ?? 0) + turn.words.reduce((sum, { text }) => sum + text.length, 0))
  }
  const most = [...said].sort((a, b) => b[1] - a[1])[0]?.[0]
  return turns.filter((turn) => turn.who.text.toLowerCase() === most)
}
