import type { Card, Theme } from './themeSchema'

const startingCard: Card = {
  arrangement: 'below',
  fill: 'none',
  colour: '',
  lineWidth: null,
  lineKind: 'solid',
  lineColour: '',
  corners: null,
  shadow: 'none',
  padding: null,
  quoteMark: 'none',
}

/** Like the page around it. */
export const startingTheme: Theme = {
  look: 'page',
  background: 'page',
  colour: '',
  text: '',
  accent: '',
  frame: 'rule',
  corners: null,
  density: 100,
  inside: 0,
  around: 0,
  font: 'page',
  size: 'normal',
  maxWidth: 0,
  align: 'start',
  card: startingCard,
  buttons: { form: 'outline', corners: null },
  controls: { arrows: 'outline', dots: 'round' },
  texts: {},
  css: '',
}
