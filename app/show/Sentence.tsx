import type { Configuration } from '../../core/display/configuration'
import { collapsedParts, type SentencePart } from '../../core/display/sentenceParts'
import { partTexts, sentencePieces, type ProductNames } from '../../core/messages/display/sentence'
import { say } from '../../core/messages/say/show'

/** A part of the sentence, or one of the collapsed groups after it. */
export type OpenPart = SentencePart | 'more' | 'parts'

/** The display as a sentence; each underlined part opens its settings. */
export function Sentence({
  configuration,
  names,
  open,
  setOpen,
}: {
  configuration: Configuration
  names: ProductNames
  open: OpenPart | null
  setOpen: (part: OpenPart | null) => void
}) {
  const part = (name: OpenPart, words: string, quiet = false) => (
    <button
      key={name}
      type="button"
      className={`part max-w-full text-left ${quiet ? 'aria-[expanded=false]:text-soft' : ''}`}
      data-part={name}
      aria-expanded={open === name}
      aria-controls="strip"
      onClick={() => setOpen(open === name ? null : name)}
    >
      {words}
    </button>
  )
  const words = partTexts(configuration, names)
  // A part that is set for the first time is not in the sentence yet.
  const isFolded =
    open !== null && (collapsedParts as readonly string[]).includes(open) && !words[open as SentencePart]
  return (
    <p className="mt-1.5 max-w-[1100px] text-[20px] leading-[1.6]" data-sentence>
      {sentencePieces(configuration, names).map((piece, i) =>
        typeof piece === 'string' ? <span key={i}>{piece}</span> : part(piece.part, piece.words),
      )}{' '}
      {isFolded && <>{part(open, say(`display.part.${open as SentencePart}`))} </>}
      {part('more', say('show.and'), true)}
    </p>
  )
}
