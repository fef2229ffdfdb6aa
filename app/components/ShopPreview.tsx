import { startingConfiguration } from '../../core/display/startingConfiguration'
import { resolveTheme } from '../../core/display/theme'
import { shadowStyles } from '../../onsite/styles'
import { ShadowHtml } from './ShadowHtml'

interface TypedStyle {
  background: string
  textColour: string
  fonts: string
  brand: string
  corners: string
}

/** A rendered display in the colours and font of the shop. */
export function ShopPreview({ html, style }: { html: string; style: TypedStyle }) {
  return (
    <div
      style={{ background: style.background, color: style.textColour, fontFamily: style.fonts || undefined }}
      className="px-8 py-8"
    >
      <ShadowHtml html={html} css={stylesOf(style)} className="text-[17px]" />
    </div>
  )
}

const plain = { background: '#ffffff', textColour: '#1b1a17', brand: '#0e4654', corners: 8 }

/** A colour can be invalid while it is typed. */
function stylesOf({ background, textColour, brand, corners }: TypedStyle): string {
  const { layout, theme } = startingConfiguration
  try {
    const site = { background, textColour, brand, corners: Number(corners) || 0 }
    return shadowStyles({
      layout,
      quotations: [],
      origins: [],
      business: null,
      paging: null,
      fontsUrl: '',
      theme: resolveTheme(theme, site),
    })
  } catch {
    return shadowStyles({
      layout,
      quotations: [],
      origins: [],
      business: null,
      paging: null,
      fontsUrl: '',
      theme: resolveTheme(theme, plain),
    })
  }
}
