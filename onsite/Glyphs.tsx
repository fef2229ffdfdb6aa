import type { Parts } from '../core/display/configuration'

const signs: Record<Parts['glyph'], string> = { star: '★', disc: '●', heart: '♥' }

/** A rating in glyphs, lit ones first. With a label they are one picture, without they say nothing by themselves. */
export function Glyphs({
  marks,
  of = 5,
  glyph,
  label,
}: {
  marks: number
  of?: number
  glyph: Parts['glyph']
  label?: string
}) {
  const sign = signs[glyph]
  return (
    <span className="eg-glyphs" {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}>
      {sign.repeat(marks)}
      {marks < of && <i>{sign.repeat(of - marks)}</i>}
    </span>
  )
}
