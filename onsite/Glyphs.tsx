import type { Parts } from '../core/display/configuration'

const signs: Record<Parts['glyph'], string> = { star: '★', disc: '●', heart: '♥' }

/** Without a label, screen readers skip the glyphs. */
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
