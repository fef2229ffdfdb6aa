import { startingConfiguration } from '../../core/display/startingConfiguration'
import { resolveTheme } from '../../core/display/theme'
import { shadowStyles } from '../../onsite/styles'
import { ShadowHtml } from './ShadowHtml'

interface TypedDress {
  ground: string
  ink: string
  fonts: string
  brand: string
  corners: string
}

/** A rendered display on the shop's own ground, in its ink and type and with its brand colour. */
export function DressedPreview({ html, dress }: { html: string; dress: TypedDress }) {
  return (
    <div
      style={{ background: dress.ground, color: dress.ink, fontFamily: dress.fonts || undefined }}
      className="px-8 py-8"
    >
      <ShadowHtml html={html} css={stylesOf(dress)} className="text-[17px]" />
    </div>
  )
}

const plain = { ground: '#ffffff', ink: '#1b1a17', brand: '#0e4654', corners: 8 }

/** While a colour is being typed it may be none yet. */
function stylesOf({ ground, ink, brand, corners }: TypedDress): string {
  const { layout, dress } = startingConfiguration
  try {
    const site = { ground, ink, brand, corners: Number(corners) || 0 }
    return shadowStyles({ layout, quotations: [], dress: resolveTheme(dress, site) })
  } catch {
    return shadowStyles({ layout, quotations: [], dress: resolveTheme(dress, plain) })
  }
}
