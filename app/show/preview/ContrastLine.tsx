import { Check } from 'lucide-react'
import { useEffect, useState } from 'react'
import type { Configuration } from '../../../core/display/configuration'
import { nearestLegible } from '../../../core/display/nearestLegible'
import { say } from '../../../core/messages/say/style'
import type { EditorView } from '../../../server/publishing/showViews'
import { paintedTexts, worstOfEach, type PaintedText } from './paintedContrast'
import { JUDGED_WIDTHS, openUnseenPage, stylesWith } from './unseenPage'

/** After the last change, so that dragging a slider stays smooth. */
const PAUSE_MS = 500

/**
 * Whether every text can be read, from what the browser paints: at three widths, and light and dark where the embed code
 * can ask for both.
 */
export default function ContrastLine({
  view,
  draft,
  change,
}: {
  view: EditorView
  draft: Configuration
  change: (changed: Configuration) => void
}) {
  const [texts, setTexts] = useState<PaintedText[]>([])
  useEffect(() => {
    const timer = setTimeout(() => setTexts(measured(view)), PAUSE_MS)
    return () => clearTimeout(timer)
  }, [view])
  const faults = texts.filter(({ ratio, needed }) => ratio < needed)
  const lowest = Math.min(...texts.map(({ ratio }) => ratio))
  if (texts.length === 0) return null
  if (faults.length === 0)
    return (
      <span
        className="inline-flex items-center gap-1"
        data-contrast="good"
        title={say('style.readableHelp', { ratio: lowest.toFixed(1) })}
      >
        <Check className="size-4 text-moss" aria-hidden="true" />
        {say('style.readable')}
      </span>
    )
  const named = faults.flatMap(({ part, ...fault }) => (part ? [{ part, ...fault }] : []))
  const fix = () =>
    change({
      ...draft,
      theme: {
        ...draft.theme,
        texts: named.reduce(
          (styles, { part, colour, background, needed }) => ({
            ...styles,
            [part]: { ...styles[part], colour: nearestLegible(colour, background, needed) },
          }),
          draft.theme.texts,
        ),
      },
    })
  return (
    <span className="font-semibold text-ochre" role="status" data-contrast="bad">
      {faults
        .map(({ part, ratio, needed }) =>
          say('style.hardToRead', {
            what: part ? say(`display.textPart.${part}`) : say('style.otherText'),
            ratio: ratio.toFixed(1),
            needed,
          }),
        )
        .join(' ')}{' '}
      {named.length > 0 && (
        <button type="button" className="part min-h-6" onClick={fix}>
          {say('style.fixColours', { count: named.length })}
        </button>
      )}
    </span>
  )
}

/** The text of each kind that is the hardest to read anywhere. */
function measured(view: EditorView): PaintedText[] {
  const { paint, end } = openUnseenPage(view)
  try {
    return worstOfEach(
      view.painted.flatMap((way) =>
        JUDGED_WIDTHS.flatMap((width) => paintedTexts(paint(width, stylesWith(view, way, way.ownCss.rules)))),
      ),
    )
  } finally {
    end()
  }
}
