import { z } from 'zod'
import {
  alignments,
  arrowForms,
  backgrounds,
  buttonForms,
  cardArrangements,
  cardFills,
  cardShadows,
  dotForms,
  fonts,
  frames,
  LARGEST_TEXT,
  OWN_CSS_LIMIT,
  lineKinds,
  quoteMarks,
  ROUNDEST,
  sizes,
  SMALLEST_TEXT,
  textParts,
  textWeights,
  THICKEST_LINE,
  WIDEST_DISPLAY,
  WIDEST_SPACE,
  WIDEST_TEXT_SPACE,
} from './choices'

const colour = z.string().regex(/^#[0-9a-f]{6}$/i)
const colourOrNone = z.union([colour, z.literal('')])
const pixels = (most: number) => z.number().int().min(0).max(most)

/** The style of one kind of text; what is missing stays as the layout has it. */
export const textStyleSchema = z.object({
  font: z.enum(fonts).optional(),
  /** Percent of its normal size. */
  size: z.number().int().min(SMALLEST_TEXT).max(LARGEST_TEXT).optional(),
  weight: z.literal(textWeights).optional(),
  colour: colour.optional(),
  align: z.enum(alignments).optional(),
  /** Space above it, in CSS pixels. */
  above: pixels(WIDEST_TEXT_SPACE).optional(),
  italic: z.boolean().optional(),
  capitals: z.boolean().optional(),
})
export type TextStyle = z.infer<typeof textStyleSchema>

/** The surface around one review. Null is the normal measure of the frame, or of the display. */
export const cardSchema = z.object({
  arrangement: z.enum(cardArrangements).default('below'),
  fill: z.enum(cardFills).default('none'),
  colour: colourOrNone.default(''),
  lineWidth: pixels(THICKEST_LINE).nullable().default(null),
  lineKind: z.enum(lineKinds).default('solid'),
  lineColour: colourOrNone.default(''),
  corners: pixels(ROUNDEST).nullable().default(null),
  shadow: z.enum(cardShadows).default('none'),
  padding: pixels(WIDEST_SPACE).nullable().default(null),
  quoteMark: z.enum(quoteMarks).default('none'),
})
export type Card = z.infer<typeof cardSchema>

/** Colours are hex, or empty for the shop's; spaces are CSS pixels. */
export const themeSchema = z.object({
  /** The look that it began with: a ready-made one, or one of the shop's. */
  look: z.string().max(40).default('page'),
  background: z.enum(backgrounds),
  colour: colourOrNone,
  text: colourOrNone,
  accent: colourOrNone,
  frame: z.enum(frames),
  /** null uses the corners of the shop's buttons. */
  corners: pixels(ROUNDEST).nullable(),
  /** Percent of the normal space between reviews. */
  density: z.number().int().min(40).max(200),
  inside: pixels(WIDEST_SPACE),
  around: pixels(WIDEST_SPACE),
  font: z.enum(fonts).default('page'),
  size: z.enum(sizes).default('normal'),
  /** The greatest width of the whole; 0 is the width of its box. */
  maxWidth: pixels(WIDEST_DISPLAY).default(0),
  align: z.enum(alignments).default('start'),
  card: cardSchema.prefault({}),
  buttons: z
    .object({
      form: z.enum(buttonForms).default('outline'),
      corners: pixels(ROUNDEST).nullable().default(null),
    })
    .prefault({}),
  /** Of a display that moves. */
  controls: z
    .object({ arrows: z.enum(arrowForms).default('outline'), dots: z.enum(dotForms).default('round') })
    .prefault({}),
  texts: z.partialRecord(z.enum(textParts), textStyleSchema).default({}),
  /** As the owner wrote it; `readOwnCss` cuts it to what has an effect. */
  css: z.string().max(OWN_CSS_LIMIT).default(''),
})
export type Theme = z.infer<typeof themeSchema>
