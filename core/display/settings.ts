import { textParts } from './choices'
import type { Configuration } from './configuration'
import { switchedParts } from './reviewParts'
import { sortedStyle } from './lookChanges'

/** Settings outside the sentence, in the order of the list of changes. */
export const settings = [
  'byHand',
  'columns',
  'tableColumns',
  'moving',
  'paging',
  'edgeSide',
  'name',
  'rating',
  'date',
  'hiddenParts',
  'origin',
  'shortened',
  'line',
  'summary',
  'headingOrder',
  'otherSites',
  'button',
  'accent',
  'frame',
  'spaces',
  'cards',
  'texts',
  'css',
  'bands',
  'whenEmpty',
  'description',
  'picture',
] as const
export type Setting = (typeof settings)[number]

export const summaryParts = ['average', 'count', 'write', 'all'] as const
export const otherSiteParts = ['siteNumbers', 'allThere', 'writeThere', 'byOrigin'] as const

/** The value of each setting, for comparing two configurations. */
export function settingValues({
  selection,
  layout,
  parts,
  heading,
  theme,
  bands,
  whenEmpty,
  description,
  picture,
}: Configuration): Record<Setting, unknown> {
  const { pins, leftOut, hand, order } = selection
  return {
    byHand: [pins, leftOut, order === 'hand' ? hand : []],
    columns: [layout.columns, layout.marks.slice(0, layout.columns - 1)],
    tableColumns: layout.tableColumns,
    moving: [layout.autoplay, layout.step, layout.speed, layout.arrows, layout.dots],
    paging: layout.paging,
    edgeSide: layout.edgeSide,
    bands,
    name: parts.name,
    rating: [parts.rating, parts.glyph],
    date: parts.date === 'pattern' ? [parts.date, parts.datePattern] : parts.date,
    hiddenParts: switchedParts.map((part) => parts[part]),
    origin: parts.origin,
    shortened: parts.shortened,
    line: heading.line.trim(),
    summary: [...summaryParts.map((part) => heading[part]), heading.shop, heading.bars],
    headingOrder: heading.order,
    otherSites: [...otherSiteParts.map((part) => heading[part]), heading.business],
    button: heading.button,
    accent: theme.accent,
    frame: [theme.frame, theme.corners, theme.background === 'colour' ? theme.text : ''],
    spaces: [
      ...[theme.density, theme.inside, theme.around, theme.maxWidth],
      ...[theme.font, theme.size, theme.align],
    ],
    cards: [theme.card, theme.buttons, theme.controls],
    texts: textParts.map((part) => sortedStyle(theme.texts[part])),
    css: theme.css.trim(),
    whenEmpty,
    description: description.trim(),
    picture,
  }
}
