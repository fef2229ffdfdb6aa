import type { TextPart } from '../../../core/display/choices'
import { firstWrong, paintedFault, type PaintedFault } from '../../../core/display/paintedFault'
import type { EditorView } from '../../../server/publishing/showViews'
import { readTexts } from './readTexts'
import { JUDGED_WIDTHS, openUnseenPage, stylesWith } from './unseenPage'

/** What one rule of own CSS did to texts. */
export interface OwnCssFault {
  fault: PaintedFault
  /** The kinds of text; null for others. */
  parts: (TextPart | null)[]
  /** The width of the display where it was found first, in CSS pixels. */
  width: number
  /** Of the rule, counted from 1. */
  line: number
}

/** Each is searched for the rule that did it. */
const MOST_KINDS = 12

/** What the draft's own CSS does to texts that must be read, as they are painted at each width, light and dark. */
export async function judgeOwnCss(view: EditorView): Promise<OwnCssFault[]> {
  const ways = view.painted.filter(({ ownCss }) => ownCss.rules.length > 0)
  if (ways.length === 0) return []
  const { paint, end } = openUnseenPage(view)
  const kinds = new Set<string>()
  const faults: OwnCssFault[] = []
  try {
    for (const way of ways)
      for (const width of JUDGED_WIDTHS) {
        const { rules } = way.ownCss
        const read = (count: number) => readTexts(paint(width, stylesWith(view, way, rules.slice(0, count))))
        const plain = read(0)
        for (const [i, text] of read(rules.length).entries()) {
          const { part } = text
          const fault = paintedFault(text, plain[i]!)
          const kind = `${fault} ${part}`
          if (!fault || kinds.has(kind) || kinds.size >= MOST_KINDS) continue
          kinds.add(kind)
          const isWrong = (count: number) => paintedFault(read(count)[i]!, plain[i]!) !== null
          const { line } = rules[firstWrong(rules.length, isWrong) - 1]!
          const known = faults.find((one) => one.fault === fault && one.line === line)
          if (known) known.parts.push(part)
          else faults.push({ fault, parts: [part], width, line })
        }
        // Typing and scrolling go on between two widths.
        await new Promise((resolve) => setTimeout(resolve))
      }
  } finally {
    end()
  }
  return faults.toSorted((a, b) => a.line - b.line)
}
