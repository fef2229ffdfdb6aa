import type { Arrangement } from '../core/display/configuration'
import type { Layout } from '../core/display/choices'

/**
 * Sets the number of columns for each width of the box, as a custom property: no more than there are reviews. A single
 * one is no wider than it can be read.
 * @param count of reviews; 0 if it is not known
 */
export function columnStyles({ marks, columns }: Arrangement, count: number): string {
  const steps = marks.slice(0, Math.min(columns, count || columns) - 1)
  return (
    `.eg ol{--eg-n:1${count === 1 ? ';max-width:44em' : ''}}` +
    steps.map((mark, i) => `@container (min-width:${mark}px){.eg ol{--eg-n:${i + 2}}}`).join('')
  )
}

const across = 'calc(1.4em*var(--eg-gap))'
const down = 'calc(1.8em*var(--eg-gap))'
const share = `calc((100% - (var(--eg-n) - 1)*${across})/var(--eg-n))`

const cell = 'calc(.6em*var(--eg-gap)) .9em'
/** A column narrower than this is hard to read, in pixels. */
const NARROWEST_COLUMN = 104

/** In a box that is too narrow for its columns, each row of a table is a list of its cells. */
export const tableStyles = (columns: number): string =>
  `@container (max-width:${columns * NARROWEST_COLUMN}px){.eg thead{display:none}.eg tr,.eg tbody{display:block}.eg tr{padding:calc(.7em*var(--eg-gap)) 0;border-bottom:1px solid color-mix(in srgb,currentColor 28%,transparent)}.eg td{display:block;border:0;padding:.15em 0}.eg .eg-off+*{padding-inline-start:0}.eg .eg-off{padding:.3em .6em;border-radius:4px}.eg td:empty,.eg td:has(>:empty:only-child){display:none}.eg td::before{content:attr(data-label);display:block;font-size:.8em;opacity:.82}}`

const inColumns = `.eg ol{display:grid;gap:${down} ${across};grid-template-columns:repeat(var(--eg-n),minmax(0,1fr))}`

const moving = `
.eg-slides ol{display:flex;gap:${across};overflow-x:auto;scroll-snap-type:x mandatory;scrollbar-width:none;overscroll-behavior-x:contain;padding:3px 0}
.eg-slides ol:focus-visible,.eg-slides li :focus-visible{outline-offset:-2px}
.eg-slides ol::-webkit-scrollbar{display:none}
.eg-slides li{flex:0 0 ${share};min-width:0;scroll-snap-align:start}
.eg-steps{display:flex;flex-wrap:wrap;align-items:center;gap:.4em .8em;margin-top:.9em;min-height:36px;visibility:hidden;font-size:.9em}
.eg-awake .eg-steps{visibility:visible}
.eg-step{display:grid;place-items:center;width:36px;height:36px;border:1px solid currentColor!important;border-radius:var(--eg-round)}
:dir(rtl)>.eg-step svg{transform:scaleX(-1)}
.eg-dots{display:flex;flex-wrap:wrap}
.eg-dots button{width:24px;height:24px;display:grid;place-items:center}
.eg-dots button::before{content:"";width:9px;height:9px;border-radius:50%;border:1.5px solid currentColor}
.eg-dots [aria-current]::before{background:currentColor}
@media (forced-colors:active){.eg-dots [aria-current]::before{background:CanvasText;forced-color-adjust:none}}
@media print{.eg-slides ol{flex-wrap:wrap;overflow:visible;row-gap:1.2em}.eg-steps{display:none!important}}
.eg-play{text-decoration:underline;min-height:24px}`

const line = `
.eg-to{display:inline-flex;align-items:baseline;gap:.3em;min-height:24px;text-decoration:none}
.eg-to:hover{text-decoration:underline}
.eg-to b{font-weight:700}`

/** The average beside the bars of all ratings. */
export const summaryStyles = `
.eg-whole{display:grid;gap:1em 2.2em;align-items:center;max-width:44em;margin-bottom:1em}
@container (min-width:430px){.eg-whole{grid-template-columns:auto minmax(0,1fr)}}
.eg-figure{display:grid;justify-items:start}
.eg-figure b{font-size:3.2em;line-height:1;font-weight:650}
.eg-bars{display:grid;gap:.25em}
.eg-bars li{position:relative;display:grid;grid-template-columns:1.2em minmax(0,1fr) 2.6em;gap:.6em;align-items:center;font-size:.85em}
.eg-bars li>:last-child{text-align:end}
.eg-bars svg{width:100%;height:8px}
.eg-bar{fill:var(--eg-accent)}
@media (forced-colors:active){.eg-bar{fill:CanvasText}}`

interface LayoutRules {
  css: string
  heading: boolean
  reviews: boolean
  columns: boolean
}

const reviewsWith = (css: string, columns: boolean): LayoutRules => ({
  css,
  heading: true,
  reviews: true,
  columns,
})
const without = (css: string, heading: boolean): LayoutRules => ({
  css,
  heading,
  reviews: false,
  columns: false,
})

const perLayout: Record<Layout, LayoutRules> = {
  list: reviewsWith(`.eg ol{display:grid;gap:${down};max-width:44em}`, false),
  grid: reviewsWith(inColumns, true),
  masonry: reviewsWith(
    `${inColumns}
.eg-packed ol{display:block;position:relative}
.eg-packed li{position:absolute;width:${share}}`,
    true,
  ),
  carousel: reviewsWith(moving, true),
  single: reviewsWith(`${moving}.eg ol{--eg-n:1}`, false),
  aggregate: without('', true),
  badge: without(
    `${line}
.eg-badge{display:inline-block;container-type:normal}
.eg-badge .eg-to{align-items:center;gap:.6em;padding:.35em .8em;border:1px solid color-mix(in srgb,currentColor 40%,transparent);border-radius:var(--eg-round)}
.eg-badge b{font-size:1.7em;line-height:1;white-space:nowrap}
.eg-badge .eg-to>span{display:grid;font-size:.8em;line-height:1.3}`,
    false,
  ),
  table: reviewsWith(
    `.eg table{width:100%;border-collapse:collapse;font-size:.95em}
.eg th,.eg td{text-align:start;vertical-align:top;min-width:5.8em;padding:${cell};padding-inline-start:0;border-bottom:1px solid color-mix(in srgb,currentColor 28%,transparent)}
.eg th{font-size:.88em;font-weight:650;border-bottom:2px solid}
.eg td p:first-child{margin-top:0!important}
.eg-answer{white-space:pre-line}
.eg td .eg-proof,.eg td .eg-own,.eg td .eg-posted{font-size:.85em}
.eg .eg-off+*{padding-inline-start:.9em}
.eg .eg-off{padding-inline-start:.7em;background:color-mix(in srgb,var(--eg-accent) 11%,transparent)}`,
    false,
  ),
  edge: reviewsWith(
    `.eg ol{display:grid;gap:${down}}
.eg-edge.eg-awake{padding:0!important;background:none!important;margin:0!important;max-width:none!important}
.eg .eg-mark{display:inline-flex;gap:.4em;align-items:center;min-height:36px;padding:.35em .9em;border:1px solid;border-radius:var(--eg-round);font-weight:650}
.eg-awake .eg-mark{position:fixed;inset:auto;margin:0;top:var(--eg-at,50%);writing-mode:vertical-rl;padding:.9em .35em;background:var(--eg-sheet,#fff);color:var(--eg-ink,#1b1a17);font-size:15px;line-height:1.3;z-index:2147483000}
.eg-awake .eg-mark-right{right:0;border-right:0;border-radius:var(--eg-round) 0 0 var(--eg-round)}
.eg-awake .eg-mark-left{left:0;border-left:0;border-radius:0 var(--eg-round) var(--eg-round) 0}
.eg-sheet{display:block;position:static;width:auto;max-width:none;border:0;padding:1em 0;background:none;color:inherit}
.eg-awake .eg-sheet{display:none}
.eg-awake .eg-sheet[open]{display:block;position:fixed;inset:0 0 0 auto;width:min(460px,100vw);height:100dvh;max-height:none;margin:0;padding:1.2em 1.4em 2em;overflow:auto;overscroll-behavior:contain;background:var(--eg-sheet,#fff);color:var(--eg-ink,#1b1a17);container-type:inline-size}
.eg-awake .eg-sheet-left[open]{inset:0 auto 0 0}
.eg-sheet::backdrop{background:#0006}
.eg .eg-sheet .eg-shut{display:none;float:inline-end;min-width:36px;min-height:36px;font-size:22px;line-height:1}
.eg-awake .eg-sheet .eg-shut{display:block}
@media (max-width:600px){.eg-awake .eg-mark span+span{position:absolute;clip-path:inset(50%)}}
@media print{.eg-awake .eg-mark{display:none}}`,
    false,
  ),
  ratingLine: without(`${line}.eg-ratingLine{display:inline-block;container-type:normal}`, false),
}

export const layoutRules = (layout: Layout): LayoutRules => perLayout[layout]
