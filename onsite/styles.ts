import type { DisplayModel } from '../core/display/displayModel'
import { isTable } from '../core/display/layoutTraits'
import { tableColumns } from '../core/display/tableColumns'
import { atMost, bandStyles } from './bandStyles'
import { startingConfiguration } from '../core/display/startingConfiguration'
import { showsBars } from './HeadingBlock'
import { columnStyles, layoutRules, summaryStyles, tableStyles } from './layoutStyles'
import { themeStyles } from './themeStyles'
import { withOwnCss } from './ownCssStyles'

// The page's rules reach the host of a shadow root and inherited properties. Only font and text colour are inherited.
const host = `:host{all:initial!important;display:block!important;font-family:inherit!important;font-size:inherit!important;color:inherit!important;direction:inherit!important}
:host([data-inline]){display:inline-block!important}`

const signs = '"Segoe UI Symbol","Apple Symbols","Noto Sans Symbols 2","DejaVu Sans",sans-serif'
const soft = 'color-mix(in srgb,currentColor 82%,transparent)'

const common = `
.eg{container-type:inline-size;text-align:start;line-height:1.5;overflow-wrap:anywhere}
.eg,.eg *{box-sizing:border-box}
:where(.eg) :where(h2,h3,p,ol,figure,blockquote){margin:0;padding:0;font-size:1em}
.eg ol{list-style:none}
.eg a{color:inherit}
.eg :focus-visible{outline:2px solid currentColor;outline-offset:2px}
.eg button{font:inherit;color:inherit;background:none;border:0;padding:0;cursor:pointer}
.eg-spoken{position:absolute;width:1px;height:1px;overflow:hidden;clip-path:inset(50%);white-space:nowrap}
.eg-glyphs{font:1.05em/1.2 ${signs};letter-spacing:.12em;color:var(--eg-accent);white-space:nowrap}`

const heading = `
.eg-shop{display:flex;align-items:center;gap:.6em;margin-bottom:.5em!important}
.eg-shop img{height:40px;max-width:160px;object-fit:contain}
.eg-title{font-size:1.5em!important;line-height:1.25;font-weight:650;margin-bottom:.15em!important}
.eg-line{margin-bottom:.35em!important}
.eg-sum{display:flex;flex-wrap:wrap;align-items:baseline;gap:.3em .7em;font-size:.9em!important;margin-bottom:1.3em!important;color:${soft}}
.eg-sum b{font-weight:700}
.eg-write,.eg-button{padding:.2em .8em;border:1px solid currentColor;border-radius:var(--eg-round);text-decoration:none}
.eg-write:hover,.eg-button:hover{text-decoration:underline}`

const quotation = `
.eg-stars{display:flex;gap:.5em;align-items:baseline}
.eg-head{font-weight:650;margin-top:.3em!important}
.eg-words p{margin-top:.3em;line-height:1.45;white-space:pre-line}
.eg-words summary{display:inline-block;font-size:.9em;text-decoration:underline;cursor:pointer;list-style:none;min-height:24px}
.eg-words summary::-webkit-details-marker{display:none}
.eg-words:has([open]) .eg-cut,.eg-words [open] .eg-closed,.eg-words details:not([open]) .eg-opened{display:none}
.eg figcaption{margin-top:.45em;font-size:.85em;line-height:1.45;color:${soft}}
.eg-name{font-weight:700}
.eg-with-face{min-height:52px;padding-inline-start:56px;position:relative}
.eg-face{position:absolute;inset-inline-start:0;top:3px;width:44px;height:44px;border-radius:50%;object-fit:cover}
.eg-logo{height:1.2em;width:auto;vertical-align:-.2em;margin-inline-end:.3em}
.eg-date,.eg-own,.eg-posted{display:block}
.eg-answers{margin:.6em 0 0;font-size:.92em}
.eg-answers dt{font-weight:650}
.eg-answers dd{margin:0 0 .3em}
.eg-answers dd{white-space:pre-line}
.eg-reply{margin-top:.7em;padding-inline-start:.8em;border-inline-start:3px solid var(--eg-accent);font-size:.9em;line-height:1.45}
.eg-reply p+p{margin-top:.25em;white-space:pre-line}
.eg-proof summary{display:block;width:fit-content;min-height:24px;cursor:pointer;list-style:none}
.eg-proof summary::-webkit-details-marker{display:none}
.eg-proof summary span{border-bottom:1px solid color-mix(in srgb,currentColor 55%,transparent)}
.eg-proof summary:hover span{border-bottom-color:currentColor}`

const origins = `
.eg-icon{width:.95em;height:.95em;vertical-align:-.1em}
.eg-business{display:flex;align-items:center;gap:.6em;margin-bottom:.5em!important}
.eg-business img{height:40px;max-width:96px;object-fit:cover;border-radius:min(var(--eg-round),12px)}
.eg-origins{display:flex;flex-wrap:wrap;gap:.1em 1.1em;margin:-.6em 0 1.2em;font-size:.9em}
.eg-origins a{text-decoration:none;min-height:24px;border-bottom:2px solid transparent}
.eg-origins a:hover,.eg-origins [aria-current]{border-bottom-color:currentColor}`

const pages = `
.eg-pages{display:flex;flex-wrap:wrap;gap:.3em;align-items:center;margin-top:1.3em;font-size:.95em}
.eg-pages a{min-width:36px;min-height:36px;display:grid;place-items:center;padding:0 .7em;border:1px solid transparent;border-radius:var(--eg-round);text-decoration:none}
.eg-pages a:hover,.eg-pages .eg-next{border-color:currentColor}
.eg-pages [aria-current]{border-color:currentColor;font-weight:700}
.eg-pages[aria-busy]{opacity:.5}`

const photos = `
.eg-photos{display:flex;flex-wrap:wrap;gap:6px;margin-top:.6em}
.eg-photos a,.eg-photos img{display:block;border-radius:min(var(--eg-round),12px)}
.eg-photos img{width:76px;height:76px;object-fit:cover}
.eg-video{position:relative}
.eg-video::after{content:'';position:absolute;inset:0;margin:auto;width:30px;height:30px;border-radius:50%;background:#000b;pointer-events:none}
.eg-video::before{content:'';position:absolute;z-index:1;inset:0;margin:auto;width:0;height:0;border:7px solid #0000;border-inline-start:11px solid #fff;border-inline-end:0;transform:translateX(1px);pointer-events:none}
.eg-view{position:fixed;inset:0;margin:auto;padding:0 0 52px;border:0;border-radius:12px;width:fit-content;height:fit-content;max-width:96vw;max-height:96vh;overflow:hidden;background:#14181a;color:#fff}
.eg-view::backdrop{background:#000b}
.eg-view [hidden]{display:none!important}
.eg-view img,.eg-view video{display:block;width:auto;height:auto;max-width:96vw;max-height:calc(96vh - 52px);object-fit:contain}
.eg-view p{position:absolute;inset:auto 148px 0 16px;height:52px;display:grid;align-items:center;overflow:hidden;font-size:15px;line-height:1.25}
.eg .eg-view button{position:absolute;bottom:6px;width:40px;height:40px;font:22px/1 ${signs}}
.eg-view button:nth-of-type(1){inset-inline-end:96px}
.eg-view button:nth-of-type(2){inset-inline-end:52px}
.eg-view .eg-shut{inset-inline-end:8px}`

const squeeze = (css: string) => css.replace(/\n/g, '')

const noBars = startingConfiguration.heading

type Styled = Pick<
  DisplayModel,
  'layout' | 'theme' | 'quotations' | 'origins' | 'business' | 'fontsUrl' | 'paging'
> &
  Partial<Pick<DisplayModel, 'bands' | 'heading' | 'ownCss' | 'shownElsewhere'>>

export function displayStyles({
  layout,
  theme,
  quotations,
  origins: sites,
  business,
  fontsUrl,
  paging,
  bands = {},
  heading: settings = noBars,
  ownCss = null,
  shownElsewhere = null,
}: Styled): string {
  const rules = layoutRules(layout.kind)
  const styles = squeeze(
    common +
      (rules.heading ? heading : '') +
      (rules.reviews ? quotation : '') +
      (showsBars({ layout, heading: settings }) ? summaryStyles : '') +
      (paging && paging.pages > 1 ? pages : '') +
      (quotations.some((shown) => shown.photos.length > 0) ? photos : '') +
      (business || sites.some(({ here }) => here > 0) ? origins : '') +
      rules.css +
      (rules.columns ? columnStyles(layout, quotations.length) : '') +
      (isTable(layout.kind) ? tableStyles(shownColumns(layout, quotations)) : '') +
      themeStyles(theme, layout.kind, fontsUrl) +
      (shownElsewhere ? atMost(shownElsewhere) : '') +
      bandStyles(bands, layout.kind),
  )
  return ownCss ? withOwnCss(styles, ownCss, theme) : styles
}

const shownColumns = ({ tableColumns: configured }: Styled['layout'], quotations: Styled['quotations']) =>
  tableColumns(configured, quotations).filter(({ hidden }) => !hidden).length

export function shadowStyles(model: Styled): string {
  return squeeze(host) + displayStyles(model)
}
