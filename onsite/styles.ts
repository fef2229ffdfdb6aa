import type { Layout } from '../core/display/configuration'

/** Widths of the box, in CSS pixels, from which side by side has two and three columns. */
export const COLUMN_MARKS = [430, 760] as const

/**
 * Inside a shadow root the page's rules do not reach the reviews, but they do reach the host and what is inherited.
 * Type and colour are taken from the page on purpose; everything else starts over.
 */
const host = `:host{all:initial!important;display:block!important;font-family:inherit!important;font-size:inherit!important;color:inherit!important;direction:inherit!important;contain:content}`

const common = `
.eg{container-type:inline-size;text-align:start;line-height:1.5;overflow-wrap:anywhere}
.eg *{box-sizing:border-box}
:where(.eg) :where(h2,h3,p,ol,figure,blockquote){margin:0;padding:0;font-size:1em}
.eg ol{list-style:none}
.eg h2{font-size:1.5em;line-height:1.25;font-weight:650;margin-bottom:.15em}
.eg-sum{display:flex;flex-wrap:wrap;align-items:center;gap:.5em .9em;font-size:.9em;margin-bottom:1.3em;color:color-mix(in srgb,currentColor 82%,transparent)}
.eg-sum b{font-weight:700}
.eg-write{padding:.2em .8em;border:1px solid currentColor;border-radius:.6em;color:inherit;text-decoration:none;white-space:nowrap}
.eg-write:hover{text-decoration:underline}
.eg-write:focus-visible{outline:2px solid currentColor;outline-offset:2px}
.eg figure{border-top:2px solid currentColor;padding-top:.8em}
.eg-stars{font:1.05em/1.2 "Segoe UI Symbol","Apple Symbols","Noto Sans Symbols 2","DejaVu Sans",sans-serif;letter-spacing:.12em;color:color-mix(in srgb,currentColor 22%,var(--eg-accent))}
.eg-stars i{font-style:normal;color:color-mix(in srgb,currentColor 34%,transparent)}
.eg h3{font-weight:650;margin-top:.3em}
.eg blockquote p{margin-top:.3em;line-height:1.45;white-space:pre-line}
.eg figcaption{margin-top:.45em;font-size:.85em;line-height:1.45;color:color-mix(in srgb,currentColor 82%,transparent)}
.eg figcaption b{font-weight:700}
.eg figcaption a{color:inherit}
.eg-with-face{min-height:52px;padding-inline-start:56px;position:relative}
.eg-face{position:absolute;inset-inline-start:0;top:3px;width:44px;height:44px;border-radius:50%;object-fit:cover}
.eg-logo{height:1.2em;width:auto;vertical-align:-.2em;margin-inline-end:.3em}
.eg-proof,.eg-own{display:block}
.eg-reply{margin-top:.7em;padding-inline-start:.8em;border-inline-start:1px solid currentColor;font-size:.9em;line-height:1.45}
.eg-reply p+p{margin-top:.25em;white-space:pre-line}
.eg-proof{color:color-mix(in srgb,currentColor 45%,#1f7a36)}
.eg-proof::before{content:"✓ ";font-family:"Segoe UI Symbol","Apple Symbols","DejaVu Sans",sans-serif}`

const perLayout: Record<Layout, string> = {
  list: `
.eg ol{display:grid;gap:1.6em;max-width:44em}`,
  grid: `
.eg ol{display:grid;gap:1.8em 1.4em;grid-template-columns:minmax(0,1fr)}
@container (min-width:${COLUMN_MARKS[0]}px){.eg ol{grid-template-columns:repeat(2,minmax(0,1fr))}}
@container (min-width:${COLUMN_MARKS[1]}px){.eg ol{grid-template-columns:repeat(3,minmax(0,1fr))}}`,
}

const squeeze = (css: string) => css.replace(/\n/g, '')

/** The styles of one layout, without what only a shadow root needs. @param accent the shop's own colour */
export function layoutStyles(layout: Layout, accent: string): string {
  return squeeze(`.eg{--eg-accent:${accent}}${common}${perLayout[layout]}`)
}

/** The styles of one layout for a shadow root on somebody else's page. */
export function shadowStyles(layout: Layout, accent: string): string {
  return host + layoutStyles(layout, accent)
}
