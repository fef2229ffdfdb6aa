import type { Layout, TextPart } from '../core/display/choices'
import { isShipped } from '../core/display/fonts'
import { layoutTraits } from '../core/display/layoutTraits'
import { reviewParts } from '../core/display/reviewParts'
import { fontsOf, isDark, textOn, type ResolvedCard, type ResolvedTheme } from '../core/display/theme'
import type { TextStyle } from '../core/display/themeSchema'
import { fontFaces, fontFamily } from './fontStyles'

/** The CSS of a theme: of the whole, of each review's surface, and of single texts. */
export function themeStyles(theme: ResolvedTheme, layout: Layout, fontsUrl: string): string {
  const { shows, motion } = layoutTraits[layout]
  return (
    fontFaces(fontsOf(theme), fontsUrl) +
    wholeStyles(theme) +
    buttonStyles(theme.buttons) +
    (shows === 'reviews' ? cardStyles(theme, layout) : '') +
    (motion === 'none' ? '' : controlStyles(theme.controls)) +
    eachText(theme.texts) +
    elsewhere(theme.textsElsewhere)
  )
}

export const eachText = (texts: ResolvedTheme['texts']): string =>
  Object.entries(texts)
    .map(([part, style]) => textStyles(part as TextPart, style))
    .join('')

/** On a page of the other scheme, which the loader finds out. */
const elsewhere = (texts: ResolvedTheme['textsElsewhere']): string =>
  Object.entries(texts?.colours ?? {})
    .map(([part, colour]) => {
      const selectors = `.eg ${textElements[part as TextPart].css}`.replaceAll(
        '.eg ',
        `.eg-${texts!.scheme} `,
      )
      return `${selectors}{color:${colour}}`
    })
    .join('')

const scales = { compact: 0.88, normal: 1, roomy: 1.12 }
const margins = { start: '0 auto 0 0', center: '0 auto', end: '0 0 0 auto' }

function wholeStyles({
  backgroundColour: background,
  text,
  accent,
  corners,
  density,
  inside,
  around,
  font,
  size,
  maxWidth,
  align,
}: ResolvedTheme): string {
  const colours = (shade: string) => `--eg-accent:${shade};--eg-on-accent:${textOn(shade)}`
  const [dark, light] = [colours(accent.dark), colours(accent.light)]
  const declarations = [
    background && isDark(background) ? dark : light,
    `--eg-round:${corners}px`,
    `--eg-gap:${density * scales[size]}`,
    background && `background:${background};color:${text}`,
    around > 0 && `margin:${around}px`,
    `padding:min(${background ? Math.max(inside, 20) : inside}px,7%)`,
    background && `border-radius:${corners}px`,
    isShipped(font) && `font-family:${fontFamily(font)}`,
    size !== 'normal' && `font-size:${scales[size]}em`,
    maxWidth > 0 && `max-width:${maxWidth}px`,
    maxWidth > 0 && (around > 0 ? `margin-inline:${autoMargins[align]}` : `margin:${margins[align]}`),
  ]
  return (
    `.eg{${declarations.filter(Boolean).join(';')}}` +
    (background
      ? ''
      : `.eg-dark{${dark}}.eg-light{${light}}.eg-unreadable{color:#1b1a17}.eg-dark.eg-unreadable{color:#eef1ec}`) +
    (align === 'start' ? '' : alignedHeading[align])
  )
}

const autoMargins = { start: '0 auto', center: 'auto', end: 'auto 0' }
/** The heading stands over the middle or the end; texts of reviews are aligned by themselves. */
const alignedHeading = {
  center:
    '.eg>ol{margin-inline:auto!important}.eg-title,.eg-line{text-align:center}.eg-sum,.eg-origins,.eg-business,.eg-steps{justify-content:center}',
  end: '.eg-title,.eg-line{text-align:end}.eg-sum,.eg-origins,.eg-business,.eg-steps{justify-content:flex-end}',
}

const buttons = '.eg .eg-write,.eg .eg-button'

function buttonStyles({ form, corners }: ResolvedTheme['buttons']): string {
  const looks = {
    outline: '',
    filled: ';background:var(--eg-accent);color:var(--eg-on-accent);border-color:transparent;font-weight:650',
    text: ';border-color:transparent;padding-inline:0;text-decoration:underline',
  }
  return `${buttons}{border-radius:${corners}px${looks[form]}}`
}

const arrowStyles = {
  outline: '',
  filled:
    '.eg .eg-step{background:var(--eg-accent);color:var(--eg-on-accent);border-color:transparent!important}',
  plain: '.eg .eg-step{border-color:transparent!important}',
}
const dotStyles = {
  round: '',
  bars: '.eg .eg-dots button::before{width:18px;height:4px;border-radius:2px}',
}

const controlStyles = ({ arrows, dots }: ResolvedTheme['controls']) => arrowStyles[arrows] + dotStyles[dots]

const shadows = {
  none: '',
  soft: 'box-shadow:0 1px 2px #0002,0 5px 16px #0000001a',
  deep: 'box-shadow:0 3px 6px #0003,0 14px 34px #0003',
  offset: 'box-shadow:6px 6px 0 var(--eg-accent)',
}
/** Room for shadows where a row cuts them off, in pixels. */
const shadowRooms = { none: 3, soft: 16, deep: 30, offset: 8 }

const faint = (percent: number) => `color-mix(in srgb,currentColor ${percent}%,transparent)`

const lines = {
  rule: { side: 'border-top', width: 2, colour: 'currentColor', padding: 'padding-top:.8em' },
  below: { side: 'border-bottom', width: 1, colour: faint(40), padding: 'padding-bottom:1.1em' },
  side: {
    side: 'border-inline-start',
    width: 3,
    colour: 'var(--eg-accent)',
    padding: 'padding-inline-start:1em',
  },
  box: { side: 'border', width: 1, colour: faint(26), padding: 'padding:1em 1.1em' },
}

export function cardStyles({ frame, card }: Pick<ResolvedTheme, 'frame' | 'card'>, layout: Layout): string {
  // One review at a time has its line beside it, where neighbours do not count.
  const shape = layout === 'single' && frame === 'rule' ? 'side' : frame
  const line = shape === 'none' ? null : lines[shape]
  const isFilled = card.fill !== 'none'
  const isSurface = isFilled || shape === 'box' || card.shadow !== 'none'
  const fills = {
    none: '',
    tint: `background:${faint(6)}`,
    accent: 'background:color-mix(in srgb,var(--eg-accent) 16%,transparent)',
    colour: card.own
      ? `background:${card.own.background};color:${card.own.text};--eg-accent:${card.own.accent}`
      : '',
  }
  const declarations = [
    line &&
      `${line.side}:${card.lineWidth ?? line.width}px ${card.lineKind} ${card.lineColour || line.colour}`,
    card.padding !== null && (isSurface || !line)
      ? `padding:${card.padding}px`
      : isSurface
        ? 'padding:1em 1.1em'
        : (line?.padding ?? ''),
    isSurface && `border-radius:${card.corners}px`,
    // Neighbours in a row end at one line.
    (isSurface || shape === 'below') && 'height:100%',
    fills[card.fill],
    shadows[card.shadow],
  ]
  return (
    `.eg figure{${declarations.filter(Boolean).join(';')}}` +
    // Neither backgrounds nor shadows are drawn there.
    (isSurface && !line ? '@media (forced-colors:active){.eg figure{border:1px solid}}' : '') +
    (card.shadow === 'offset' ? '.eg ol{padding-inline-end:6px;padding-bottom:6px}' : '') +
    (card.shadow === 'none'
      ? ''
      : `.eg-slides ol{padding:4px ${shadowRooms[card.shadow]}px ${shadowRooms[card.shadow]}px}`) +
    (card.own ? '.eg figcaption{color:inherit}' : '') +
    quoteMarkStyles(card.quoteMark) +
    arrangements[card.arrangement]
  )
}

const quoteMarkStyles = (mark: ResolvedCard['quoteMark']) =>
  ({
    none: '',
    above:
      '.eg-words::before{content:"\\201c"/"";display:block;font-size:3.6em;line-height:1;height:.5em;color:var(--eg-accent)}',
    behind:
      '.eg figure{position:relative;overflow:clip}.eg figure::before{content:"\\201d"/"";position:absolute;inset-inline-end:.08em;top:-.05em;font-size:7em;line-height:1;color:var(--eg-accent);opacity:.2;pointer-events:none}',
  })[mark]

const inWideCards = (from: number, css: string) =>
  `.eg>ol{max-width:64em}.eg li{container:eg-card/inline-size}@container eg-card (min-width:${from}px){${css}}`

const arrangements: Record<ResolvedCard['arrangement'], string> = {
  below: '',
  above:
    '.eg figure{display:flex;flex-direction:column}.eg figcaption{order:-1;margin:0 0 .7em}.eg figure>*{flex:none}',
  beside: inWideCards(
    400,
    '.eg figure{display:grid;grid-template-columns:minmax(6.5em,12em) minmax(0,1fr);grid-template-rows:repeat(5,auto) 1fr;column-gap:1.8em}.eg figure>*{grid-column:2}.eg figcaption{grid-area:1/1/7/2;margin:0;text-align:end}',
  ),
  ledger: inWideCards(
    540,
    '.eg figure{display:grid;grid-template-columns:7em minmax(0,1fr) minmax(8em,13em);grid-template-rows:repeat(5,auto) 1fr;column-gap:1.6em}.eg figure>*{grid-column:2;margin-top:0!important}.eg .eg-stars{grid-area:1/1/7/2}.eg .eg-words:not(:nth-child(-n+2)),.eg .eg-photos,.eg .eg-reply{margin-top:.5em!important}.eg figcaption{grid-area:1/3/7/4;margin:0}',
  ),
  centred:
    '.eg figure{text-align:center}.eg-stars,.eg-photos{justify-content:center}.eg-proof summary{margin-inline:auto}.eg-with-face{padding:56px 0 0}.eg-face{inset-inline-start:calc(50% - 22px)}.eg-reply{text-align:start}',
}

const aboutElements = Object.values(reviewParts)
  .flatMap(({ css, text }) => (text === 'about' ? `.${css}` : []))
  .join(',.eg ')

/** The elements of each text, and their normal size in em. */
const textElements: Record<TextPart, { css: string; size: number }> = {
  title: { css: '.eg-title', size: 1.5 },
  line: { css: '.eg-line', size: 1 },
  average: { css: '.eg-sum,.eg .eg-whole', size: 0.9 },
  symbols: { css: '.eg-glyphs', size: 1.05 },
  headline: { css: '.eg-head', size: 1 },
  words: { css: '.eg-words', size: 1 },
  name: { css: '.eg-name', size: 1 },
  about: { css: aboutElements, size: 1 },
  date: { css: '.eg-date', size: 1 },
  proof: { css: '.eg-proof,.eg .eg-own,.eg .eg-posted', size: 1 },
  reply: { css: '.eg-reply', size: 0.9 },
  links: { css: '.eg-how,.eg .eg-all', size: 1 },
}

function textStyles(part: TextPart, style: TextStyle = {}): string {
  const { css, size } = textElements[part]
  const declarations = [
    isShipped(style.font) && `font-family:${fontFamily(style.font)}`,
    style.font === 'page' && 'font-family:inherit',
    style.size && `font-size:${Math.round(size * style.size) / 100}em!important`,
    style.weight && `font-weight:${style.weight}`,
    style.colour && `color:${style.colour}`,
    style.align && `text-align:${style.align}`,
    style.align && part === 'symbols' && `justify-content:${style.align}`,
    style.above !== undefined && `margin-top:${style.above}px!important`,
    style.italic && 'font-style:italic',
    style.capitals && 'text-transform:uppercase;letter-spacing:.06em',
  ]
  const text = declarations.filter(Boolean).join(';')
  return text && `.eg ${css}{${text}}`
}
