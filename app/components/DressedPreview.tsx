import { brandShades } from '../../core/display/brand'
import { shadowStyles } from '../../onsite/styles'
import { ShadowHtml } from './ShadowHtml'

/** A rendered display on the shop's own ground, in its ink and type and with its brand colour. */
export function DressedPreview({
  html,
  dress: { ground, ink, fonts, brand },
}: {
  html: string
  dress: { ground: string; ink: string; fonts: string; brand: string }
}) {
  return (
    <div style={{ background: ground, color: ink, fontFamily: fonts || undefined }} className="px-8 py-8">
      <ShadowHtml html={html} css={shadowStyles('grid', accentOf(brand))} className="text-[17px]" />
    </div>
  )
}

/** While a colour is being typed it may be none yet. */
function accentOf(brand: string): string {
  try {
    return brandShades(brand).edge
  } catch {
    return 'currentColor'
  }
}
