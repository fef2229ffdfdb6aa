import { shippedFonts } from '../../display/fonts'
import { startingTheme } from '../../display/startingTheme'
import type { Card, TextStyle, Theme } from '../../display/themeSchema'
import { say } from '../say/style'
import { listed } from './listed'

const px = (value: number | null | undefined, text: (px: number) => string) =>
  typeof value === 'number' ? text(value) : ''

/** What is set of the style of a text: "60% size, bold". */
export function textStyleText({ size, font, weight, colour, align, above, italic, capitals }: TextStyle) {
  return [
    size === undefined ? '' : say('style.said.size', { size }),
    font === undefined ? '' : font === 'page' ? say('style.pageFont') : shippedFonts[font].name,
    weight === undefined ? '' : say(`style.weights.w${weight}`),
    colour ?? '',
    align === undefined ? '' : say('style.said.align', { align: say(`style.alignments.${align}`) }),
    px(above, (space) => say('style.said.above', { px: space })),
    italic ? say('style.italic').toLowerCase() : '',
    capitals ? say('style.capitals').toLowerCase() : '',
  ]
    .filter(Boolean)
    .join(', ')
}

/** The surface, buttons and arrows of a theme, as far as they are not those that every display starts with. */
export function surfaceText({
  card,
  buttons,
  controls,
}: Pick<Theme, 'card' | 'buttons' | 'controls'>): string {
  const isOwn = <K extends keyof Card>(key: K) => card[key] !== startingTheme.card[key]
  const said = [
    isOwn('arrangement') &&
      say('style.said.writer', { where: say(`style.arrangements.${card.arrangement}`) }),
    isOwn('fill') &&
      say('style.said.fill', {
        fill: card.fill === 'colour' ? card.colour : say(`style.fills.${card.fill}`),
      }),
    px(card.lineWidth, (width) =>
      say('style.said.line', { width, kind: say(`style.lineKinds.${card.lineKind}`) }),
    ),
    px(card.corners, (corners) => say('style.said.corners', { px: corners })),
    isOwn('shadow') && say('style.said.shadow', { shadow: say(`style.shadows.${card.shadow}`) }),
    px(card.padding, (padding) => say('style.said.padding', { px: padding })),
    isOwn('quoteMark') && say('style.said.quoteMark', { where: say(`style.quoteMarks.${card.quoteMark}`) }),
    JSON.stringify([buttons, controls]) === JSON.stringify([startingTheme.buttons, startingTheme.controls])
      ? ''
      : say('style.said.buttons'),
  ].filter((part) => typeof part === 'string' && part !== '')
  return listed(said as string[])
}
