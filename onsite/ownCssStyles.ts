import type { EffectiveCss } from '../core/display/ownCss'
import { isDark, type ResolvedTheme } from '../core/display/theme'

/**
 * Own CSS beside the styles of a display: important rules of an earlier layer are stronger than all others, so that each
 * of its rules has an effect.
 */
export function withOwnCss(styles: string, { css }: EffectiveCss, theme: ResolvedTheme): string {
  return `@layer own,ready;${ownLayer(css)}@layer ready{${styles}${noteColours(theme)}}`
}

export const ownLayer = (css: string): string => `@layer own{${css}}`

/** The colours of what must be said, where own CSS paints. Own CSS cannot set custom properties. */
function noteColours({ backgroundColour, text }: ResolvedTheme): string {
  const colours = (on: string, words: string) => `--eg-note:${words};--eg-note-on:${on}`
  const [light, dark] = [colours('#fff', '#1b1a17'), colours('#1b1f21', '#eef1ec')]
  if (backgroundColour && text) return `.eg{${colours(backgroundColour, text)}}`
  return isDark(backgroundColour ?? '#ffffff') ? `.eg{${dark}}` : `.eg{${light}}.eg-dark{${dark}}`
}

/**
 * Styles in the shadow root of what must be said. Important rules within are stronger than those around, so that own CSS
 * cannot reach it; an inline block does not inherit lines through text.
 */
export const noteStyles = (paints: boolean, ownLine: boolean): string =>
  `:host{all:initial!important;display:${ownLine ? 'block' : 'inline-block'}!important;position:relative!important;z-index:1!important;` +
  'font-family:inherit!important;font-size:14px!important;line-height:1.45!important;direction:inherit!important;color:inherit!important}' +
  `p{display:inline-block;margin:0;max-width:100%;overflow-wrap:anywhere${paints ? ';color:var(--eg-note);background:var(--eg-note-on);padding:0 5px;border-radius:3px;box-sizing:border-box' : ''}}` +
  'a{color:inherit}:focus-visible{outline:2px solid currentColor;outline-offset:2px}svg{width:.95em;height:.95em;vertical-align:-.1em}'
