import { say } from '../messages/say'
import type { Configuration, Parts } from './configuration'
import { listed } from './spoken'

/** What is set beside the sentence, in the order that changes are told. */
export const settings = [
  'byHand',
  'columns',
  'moving',
  'name',
  'rating',
  'date',
  'hiddenParts',
  'shortened',
  'line',
  'summary',
  'button',
  'accent',
  'frame',
  'spaces',
  'whenEmpty',
  'description',
  'picture',
] as const
export type Setting = (typeof settings)[number]

/** Parts of a review that are simply there or not. */
export const switchedParts = [
  'portrait',
  'role',
  'company',
  'product',
  'proof',
  'title',
  'words',
  'photos',
  'reply',
] as const satisfies (keyof Parts)[]
export type SwitchedPart = (typeof switchedParts)[number]

export const summaryParts = ['average', 'count', 'write', 'all'] as const

const unless = (isUnset: boolean, text: string) => (isUnset ? '' : text)

/** Each setting in words; empty where nothing is set. */
export function settingWords({
  selection,
  layout,
  parts,
  heading,
  dress,
  whenEmpty,
  description,
  picture,
}: Configuration): Record<Setting, string> {
  const { pins, leftOut, hand, order } = selection
  const hidden = switchedParts.filter((part) => !parts[part])
  const shown = summaryParts.filter((part) => heading[part])
  return {
    byHand: handWords(pins, leftOut, order === 'hand' ? hand : []),
    columns: say('display.columns', {
      most: layout.columns,
      marks: listed(layout.marks.slice(0, layout.columns - 1).map(String)) || '0',
    }),
    moving: [
      unless(layout.autoplay === 0, say('display.autoplay', { count: layout.autoplay })),
      layout.step === 0 ? say('display.stepAll') : say('display.step', { count: layout.step }),
      unless(layout.arrows, say('display.noArrows')),
      unless(layout.dots, say('display.noDots')),
    ]
      .filter(Boolean)
      .join(', '),
    name: say(`display.nameForm.${parts.name}`),
    rating:
      parts.rating === 'hidden' || parts.rating === 'numeral'
        ? say(`display.ratingForm.${parts.rating}`)
        : `${say(`display.glyph.${parts.glyph}`)}${parts.rating === 'both' ? ` ${say('display.ratingForm.both')}` : ''}`,
    date: say(`display.dateForm.${parts.date}`),
    hiddenParts: listed(hidden.map((part) => say(`display.reviewPart.${part}`))),
    shortened: unless(parts.shortened === 0, say('display.shortened', { count: parts.shortened })),
    line: heading.line.trim(),
    summary: listed(shown.map((part) => say(`display.summary.${part}`))),
    button: heading.button.words.trim() && `${heading.button.words.trim()} → ${heading.button.url}`,
    accent: dress.accent,
    frame: `${say(`display.frame.${dress.frame}`)}, ${
      dress.corners === null ? say('display.pageCorners') : say('display.corners', { count: dress.corners })
    }${dress.ground === 'colour' && dress.text ? `, ${say('display.textColour', { colour: dress.text })}` : ''}`,
    spaces: say('display.spaces', dress),
    whenEmpty: say(`display.whenEmpty.${whenEmpty}`),
    description: description.trim(),
    picture: unless(picture === '', say('display.picture')),
  }
}

/** What stands behind the words of each setting. */
export function settingValues({
  selection,
  layout,
  parts,
  heading,
  dress,
  whenEmpty,
  description,
  picture,
}: Configuration): Record<Setting, unknown> {
  const { pins, leftOut, hand, order } = selection
  return {
    byHand: [pins, leftOut, order === 'hand' ? hand : []],
    columns: [layout.columns, layout.marks.slice(0, layout.columns - 1)],
    moving: [layout.autoplay, layout.step, layout.arrows, layout.dots],
    name: parts.name,
    rating: [parts.rating, parts.glyph],
    date: parts.date,
    hiddenParts: switchedParts.map((part) => parts[part]),
    shortened: parts.shortened,
    line: heading.line.trim(),
    summary: summaryParts.map((part) => heading[part]),
    button: heading.button,
    accent: dress.accent,
    frame: [dress.frame, dress.corners, dress.ground === 'colour' ? dress.text : ''],
    spaces: [dress.density, dress.inside, dress.around],
    whenEmpty,
    description: description.trim(),
    picture,
  }
}

/** How many were moved by hand, and where to; ids mean nothing to a person. */
function handWords(pins: { review: string; at: number }[], leftOut: string[], hand: string[]): string {
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
