import { startingTheme } from './startingTheme'
import type { Card, Theme } from './themeSchema'

export const readyLooks = [
  'page',
  'quiet',
  'sheets',
  'outlined',
  'quotation',
  'ledger',
  'margin',
  'names',
  'sideline',
  'night',
  'field',
  'cuttings',
  'placards',
  'letters',
] as const
export type ReadyLook = (typeof readyLooks)[number]

type Changes = Partial<Omit<Theme, 'card' | 'look'>> & { card?: Partial<Card> }

/** What each ready-made look changes of the page's own style. Colours come from the shop, so that they go together. */
const changes: Record<ReadyLook, Changes> = {
  page: {},
  quiet: {
    frame: 'below',
    density: 90,
    card: { lineWidth: 1 },
    texts: {
      title: { size: 80, weight: 400 },
      symbols: { size: 85 },
      headline: { weight: 400, italic: true },
      name: { weight: 400 },
    },
  },
  sheets: {
    frame: 'none',
    corners: 14,
    card: { fill: 'tint', shadow: 'soft', padding: 20 },
    texts: { symbols: { size: 110 } },
    buttons: { form: 'filled', corners: null },
  },
  outlined: {
    frame: 'box',
    corners: 22,
    card: { lineWidth: 2, padding: 22, arrangement: 'above' },
    buttons: { form: 'outline', corners: 24 },
    texts: { name: { size: 115 } },
  },
  quotation: {
    frame: 'none',
    font: 'fraunces',
    align: 'center',
    density: 140,
    card: { arrangement: 'centred', quoteMark: 'above' },
    controls: { arrows: 'plain', dots: 'round' },
    texts: {
      title: { size: 90, weight: 400, align: 'center' },
      words: { size: 140, weight: 400 },
      symbols: { size: 90 },
      name: { weight: 600 },
    },
    buttons: { form: 'text', corners: null },
  },
  ledger: {
    frame: 'below',
    font: 'commissioner',
    density: 60,
    card: { arrangement: 'ledger', lineWidth: 1, lineKind: 'dotted' },
    texts: {
      title: { size: 75, weight: 700, capitals: true },
      headline: { weight: 600 },
      words: { size: 94 },
    },
  },
  margin: {
    frame: 'rule',
    font: 'literata',
    density: 130,
    card: { arrangement: 'beside', lineWidth: 1 },
    texts: {
      title: { weight: 400, italic: true },
      words: { size: 106 },
      name: { italic: true, weight: 500 },
    },
  },
  names: {
    frame: 'none',
    font: 'karla',
    density: 120,
    card: { arrangement: 'above' },
    texts: {
      title: { weight: 800 },
      name: { size: 170, weight: 800 },
      words: { size: 96 },
      symbols: { size: 80 },
    },
    buttons: { form: 'filled', corners: 0 },
  },
  sideline: {
    frame: 'side',
    card: { fill: 'tint', lineWidth: 6, corners: 0, padding: 18 },
    texts: { headline: { size: 112 } },
  },
  night: {
    background: 'dark',
    frame: 'none',
    corners: 18,
    inside: 32,
    font: 'commissioner',
    card: { fill: 'tint', padding: 22, quoteMark: 'behind' },
    texts: { title: { weight: 300, size: 120 }, words: { weight: 300, size: 106 } },
    buttons: { form: 'outline', corners: 24 },
  },
  field: {
    background: 'colour',
    frame: 'rule',
    inside: 40,
    font: 'bitter',
    card: { lineWidth: 3 },
    texts: { title: { size: 150, weight: 800 }, words: { weight: 500 } },
    buttons: { form: 'filled', corners: null },
  },
  cuttings: {
    frame: 'box',
    corners: 0,
    font: 'literata',
    maxWidth: 980,
    density: 80,
    card: { lineWidth: 4, lineKind: 'double', padding: 16 },
    texts: {
      title: { font: 'oswald', capitals: true, weight: 600, size: 110 },
      headline: { font: 'oswald', capitals: true, weight: 600, size: 125 },
      words: { size: 92 },
      name: { capitals: true, size: 85 },
    },
  },
  placards: {
    frame: 'box',
    font: 'oswald',
    corners: 0,
    density: 120,
    card: { lineWidth: 3, shadow: 'offset', padding: 20 },
    texts: {
      title: { size: 140, weight: 700, capitals: true },
      words: { weight: 400, size: 112 },
      name: { weight: 600 },
    },
    buttons: { form: 'filled', corners: 0 },
    controls: { arrows: 'filled', dots: 'bars' },
  },
  letters: {
    frame: 'none',
    font: 'jetbrains',
    corners: 2,
    card: { fill: 'accent', padding: 26 },
    texts: {
      title: { font: 'caveat', size: 160, weight: 700 },
      words: { size: 88 },
      name: { font: 'caveat', size: 190, weight: 700 },
    },
  },
}

export const isReadyLook = (look: string): look is ReadyLook => readyLooks.includes(look as ReadyLook)

/** The theme of a ready-made look. */
export function themeOfLook(look: ReadyLook): Theme {
  const { card, ...changed } = changes[look]
  return { ...startingTheme, ...changed, look, card: { ...startingTheme.card, ...card } }
}
