import {
  bandWidths,
  differencesIn,
  withoutDifference,
  type Band,
  type BandDifference,
} from '../../../core/display/bands'
import type { Configuration } from '../../../core/display/configuration'
import { say } from '../../../core/messages/say/show'

/** Whether changes are meant for this width alone, and what differs there, each with its undo. */
export function OnlyHere({
  band,
  only,
  setOnly,
  draft,
  change,
}: {
  band: Band
  only: Band | null
  setOnly: (only: Band | null) => void
  draft: Configuration
  change: (changed: Configuration) => void
}) {
  const differences = differencesIn(draft.bands[band])
  return (
    <span className="flex flex-wrap items-center gap-x-3">
      <label className="flex min-h-6 cursor-pointer items-center gap-1.5">
        <input
          type="checkbox"
          className="checkbox checkbox-xs border-edge"
          checked={only === band}
          onChange={(event) => setOnly(event.currentTarget.checked ? band : null)}
        />
        {say(`onlyHere.${band}`, bandWidths[band])}
      </label>
      {differences.map((difference) => (
        <span key={JSON.stringify(difference)} className="inline-flex items-center gap-1 text-ink">
          {differenceWords(difference)}
          <button
            type="button"
            className="part min-h-6"
            aria-label={say('onlyHere.undo', { what: differenceWords(difference) })}
            onClick={() => change(withoutDifference(draft, band, difference))}
          >
            {say('show.undo')}
          </button>
        </span>
      ))}
    </span>
  )
}

function differenceWords(difference: BandDifference): string {
  switch (difference.kind) {
    case 'text':
      return say('onlyHere.text', { what: say(`display.textPart.${difference.part}`) })
    case 'hidden':
      return say('onlyHere.hidden', { what: say(`display.reviewPart.${difference.part}`) })
    default:
      return say(`onlyHere.differs.${difference.kind}`)
  }
}
