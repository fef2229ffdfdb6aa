import type { Parts } from '../core/display/configuration'

const filled: Record<Parts['glyph'], string> = { star: '★', disc: '●', heart: '♥' }
const outlined: Record<Parts['glyph'], string> = { star: '☆', disc: '○', heart: '♡' }

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
  return (
    <span className="eg-glyphs" {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}>
      {filled[glyph].repeat(marks)}
      {outlined[glyph].repeat(of - marks)}
    </span>
  )
}
