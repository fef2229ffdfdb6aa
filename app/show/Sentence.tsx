import type { Configuration } from '../../core/display/configuration'
import { collapsedParts, type SentencePart } from '../../core/display/sentenceParts'
import { partTexts, sentencePieces, type ProductNames } from '../../core/messages/display/sentence'
import { say } from '../../core/messages/say/show'
import { SentencePart as Part } from '../components/SentencePart'

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
    <Part
      key={name}
      words={words}
      open={open === name}
      toggle={() => setOpen(open === name ? null : name)}
      controls="strip"
      quiet={quiet}
      data-part={name}
    />
  )
  const words = partTexts(configuration, names)
  // A part that is set for the first time is not in the sentence yet.
  const isFolded =
    open !== null && (collapsedParts as readonly string[]).includes(open) && !words[open as SentencePart]
  return (
    <p className="mt-0.5 text-[19px] leading-[1.58]" data-sentence>
      {sentencePieces(configuration, names).map((piece, i) =>
        typeof piece === 'string' ? <span key={i}>{piece}</span> : part(piece.part, piece.words),
      )}{' '}
      {isFolded && <>{part(open, say(`display.part.${open as SentencePart}`))} </>}
      {part('more', say('show.and'), true)}
    </p>
  )
}
