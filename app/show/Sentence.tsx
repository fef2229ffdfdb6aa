import type { Configuration } from '../../core/display/configuration'
import { sentencePieces, type SentencePart } from '../../core/display/sentence'

/** The display as its sentence; each underlined part opens its choices under it. */
export function Sentence({
  configuration,
  open,
  setOpen,
}: {
  configuration: Configuration
  open: SentencePart | null
  setOpen: (part: SentencePart | null) => void
}) {
  return (
    <p className="mt-2 max-w-[940px] text-[20px] leading-[1.65]" data-sentence>
      {sentencePieces(configuration).map((piece) =>
        typeof piece === 'string' ? (
          <span key={piece}>{piece}</span>
        ) : (
          <button
            key={piece.part}
            type="button"
            className="part max-w-full text-left"
            data-part={piece.part}
            aria-expanded={open === piece.part}
            aria-controls="strip"
            onClick={() => setOpen(open === piece.part ? null : piece.part)}
          >
            {piece.words}
          </button>
        ),
      )}
    </p>
  )
}
