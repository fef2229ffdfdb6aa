import type { Configuration, ConfiguredColumn } from '../../display/configuration'
import { fixedColumns } from '../../display/choices'
import { otherSiteParts, summaryParts, type Setting } from '../../display/settings'
import { switchedParts } from '../../display/reviewParts'
import { bands, differencesIn } from '../../display/bands'
import { changedTexts } from '../../display/lookChanges'
import { startingTheme } from '../../display/startingTheme'
import { say } from '../say/show'
import { listed } from './listed'
import { surfaceText, textStyleText } from './styleTexts'

const unless = (isUnset: boolean, text: string) => (isUnset ? '' : text)

/** The text of each setting; empty if it is unset. */
export function settingTexts({
  selection,
  layout,
  parts,
  heading,
  theme,
  bands: configured,
  whenEmpty,
  description,
  picture,
}: Configuration): Record<Setting, string> {
  const { pins, leftOut, hand, order } = selection
  const hidden = switchedParts.filter((part) => !parts[part])
  const shown = summaryParts.filter((part) => heading[part])
  return {
    byHand: handTexts(pins, leftOut, order === 'hand' ? hand : []),
    columns: say('display.columns', {
      most: layout.columns,
      marks: listed(layout.marks.slice(0, layout.columns - 1).map(String)) || '0',
    }),
    tableColumns: columnTexts(layout.tableColumns),
    moving: [
      unless(layout.autoplay === 0, say('display.autoplay', { count: layout.autoplay })),
      layout.step === 0 ? say('display.stepAll') : say('display.step', { count: layout.step }),
      unless(layout.speed === 'usual', say(`display.speed.${layout.speed}`)),
      unless(layout.arrows, say('display.noArrows')),
      unless(layout.dots, say('display.noDots')),
    ]
      .filter(Boolean)
      .join(', '),
    edgeSide: say(`display.edgeSide.${layout.edgeSide}`),
    paging: say(`display.paging.${layout.paging}`),
    name: say(`display.nameForm.${parts.name}`),
    rating:
      parts.rating === 'hidden' || parts.rating === 'numeral'
        ? say(`display.ratingForm.${parts.rating}`)
        : `${say(`display.glyph.${parts.glyph}`)}${parts.rating === 'both' ? ` ${say('display.ratingForm.both')}` : ''}`,
    date:
      parts.date === 'pattern'
        ? say('display.datePattern', { pattern: parts.datePattern })
        : say(`display.dateForm.${parts.date}`),
    hiddenParts: listed(hidden.map((part) => say(`display.reviewPart.${part}`))),
    origin: say(`display.originForm.${parts.origin}`),
    shortened: unless(parts.shortened === 0, say('display.shortened', { count: parts.shortened })),
    line: heading.line.trim(),
    summary: listed([
      ...shown.map((part) => say(`display.summary.${part}`)),
      ...(heading.bars ? [say('display.bars')] : []),
      ...(heading.shop === 'none' ? [] : [say(`display.shopForm.${heading.shop}`)]),
    ]),
    headingOrder: listed(heading.order.map((block) => say(`display.headingBlock.${block}`))),
    otherSites: listed([
      ...otherSiteParts.filter((part) => heading[part]).map((part) => say(`display.otherSite.${part}`)),
      ...(heading.business === 'none' ? [] : [say(`display.business.${heading.business}`)]),
    ]),
    button: heading.button.words.trim() && `${heading.button.words.trim()} → ${heading.button.url}`,
    accent: theme.accent,
    frame: `${say(`display.frame.${theme.frame}`)}, ${
      theme.corners === null ? say('display.pageCorners') : say('display.corners', { count: theme.corners })
    }${theme.background === 'colour' && theme.text ? `, ${say('display.textColour', { colour: theme.text })}` : ''}`,
    spaces: say('display.spaces', theme),
    cards: surfaceText(theme),
    bands: listed(
      bands
        .filter((band) => configured[band])
        .map((band) => say(`display.band.${band}`, { count: differencesIn(configured[band]).length })),
    ),
    texts: changedTexts(theme, startingTheme)
      .map((part) => `${say(`display.textPart.${part}`)}: ${textStyleText(theme.texts[part] ?? {})}`)
      .join('; '),
    css: unless(
      theme.css.trim() === '',
      say('display.cssLength', { count: theme.css.trim().split('\n').length }),
    ),
    whenEmpty: say(`display.whenEmpty.${whenEmpty}`),
    description: description.trim(),
    picture: unless(picture === '', say('display.picture')),
  }
}

/** The columns of a table as visitors see them, in order, and the hidden ones. */
function columnTexts(columns: ConfiguredColumn[]): string {
  const nameOf = ({ key, heading }: ConfiguredColumn) =>
    heading || (isFixed(key) ? say(`display.column.${key}`) : key.replace(/^answer:/, ''))
  const [hidden, shown] = [columns.filter((one) => one.hidden), columns.filter((one) => !one.hidden)]
  return [
    listed(shown.map((one) => (one.setOff ? say('display.setOff', { column: nameOf(one) }) : nameOf(one)))),
    unless(hidden.length === 0, say('display.withoutColumns', { columns: listed(hidden.map(nameOf)) })),
  ]
    .filter(Boolean)
    .join(', ')
}

const isFixed = (key: string): key is (typeof fixedColumns)[number] => fixedColumns.some((one) => one === key)

/** The number of reviews moved by hand, and their positions. */
function handTexts(pins: { review: string; at: number }[], leftOut: string[], hand: string[]): string {
  return [
    unless(
      pins.length === 0,
      say('display.pinned', {
        count: pins.length,
        places: listed(pins.map(({ at }) => String(at + 1))),
      }),
    ),
    unless(leftOut.length === 0, say('display.leftOut', { count: leftOut.length })),
    unless(hand.length === 0, say('display.inHand', { count: hand.length })),
  ]
    .filter(Boolean)
    .join(', ')
}
