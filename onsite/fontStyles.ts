import { shippedFonts, type ShippedFont } from '../core/display/fonts'

const familyOf = (font: ShippedFont) => `Elogio ${shippedFonts[font].name}`
const fallbackOf = (font: ShippedFont, local: string) => `${familyOf(font)} ${local}`

/** The `font-family` of a font, its adjusted fallbacks and their kind. */
export function fontFamily(font: ShippedFont): string {
  const { generic, fallbacks } = shippedFonts[font]
  return [
    `"${familyOf(font)}"`,
    ...fallbacks.map(({ local }) => `"${fallbackOf(font, local)}"`),
    generic,
  ].join()
}

/**
 * `@font-face` rules. A shadow root ignores them, so `behaviour/fonts.ts` copies them to the document.
 * @param folder the address of the folder of fonts
 */
export function fontFaces(fonts: ShippedFont[], folder: string): string {
  return fonts
    .flatMap((font) => [
      face(
        familyOf(font),
        `url(${folder}${font}.woff2) format("woff2")`,
        'font-weight:100 900;font-display:optional',
      ),
      face(
        familyOf(font),
        `url(${folder}${font}-ext.woff2) format("woff2")`,
        'font-weight:100 900;font-display:optional;unicode-range:U+100-2BA,U+1E00-1E9F,U+1EF2-1EFF,U+20A0-20AB,U+20AD-20C0',
      ),
      ...shippedFonts[font].fallbacks.map(({ local, adjust, ascent, descent }) =>
        face(
          fallbackOf(font, local),
          `local("${local}")`,
          `size-adjust:${adjust};ascent-override:${ascent};descent-override:${descent};line-gap-override:0%`,
        ),
      ),
    ])
    .join('')
}

const face = (family: string, source: string, more: string) =>
  `@font-face{font-family:"${family}";src:${source};${more}}`
