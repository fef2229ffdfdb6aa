import { z } from 'zod'
import { selectionSchema } from '../curation/selectionSchema'
import {
  layouts,
  DISPLAY_TITLE_LIMIT,
  DISPLAY_LINE_LIMIT,
  MOST_COLUMNS,
  LONGEST_AUTOPLAY,
  NARROWEST_MARK,
  WIDEST_MARK,
  nameForms,
  dateForms,
  ratingForms,
  glyphs,
  backgrounds,
  frames,
  WIDEST_SPACE,
  ROUNDEST,
  places,
} from './choices'

const colour = z.string().regex(/^#[0-9a-f]{6}$/i)
const colourOrNone = z.union([colour, z.literal('')])

/** How the picked reviews stand. */
const arrangementSchema = z.object({
  kind: z.enum(layouts),
  /** Widths of the box, in CSS pixels and ascending, from which there are two, three and four columns. */
  marks: z
    .array(z.number().int().min(NARROWEST_MARK).max(WIDEST_MARK))
    .length(MOST_COLUMNS - 1)
    .refine((marks) => marks.every((mark, i) => i === 0 || mark > marks[i - 1]!)),
  columns: z.number().int().min(1).max(MOST_COLUMNS),
  /** Seconds between two steps; 0 waits for the visitor. */
  autoplay: z.number().int().min(0).max(LONGEST_AUTOPLAY),
  /** How many move at once; 0 moves all that are seen. */
  step: z.number().int().min(0).max(MOST_COLUMNS),
  arrows: z.boolean(),
  dots: z.boolean(),
})
export type Arrangement = z.infer<typeof arrangementSchema>

/** What each review shows. Lengths are in words; 0 shows all of them. */
const partsSchema = z.object({
  name: z.enum(nameForms),
  portrait: z.boolean(),
  role: z.boolean(),
  company: z.boolean(),
  date: z.enum(dateForms),
  rating: z.enum(ratingForms),
  glyph: z.enum(glyphs),
  proof: z.boolean(),
  product: z.boolean(),
  title: z.boolean(),
  words: z.boolean(),
  shortened: z.number().int().min(0).max(200),
  reply: z.boolean(),
  /** Displays that were made before there were photos show them too. */
  photos: z.boolean().default(true),
})
export type Parts = z.infer<typeof partsSchema>

/** A web address, or nothing. */
const address = z.union([z.literal(''), z.url({ protocol: /^https?$/ }).max(2000)])

/** What stands above the reviews. */
const headingSchema = z.object({
  line: z.string().max(DISPLAY_LINE_LIMIT),
  average: z.boolean(),
  count: z.boolean(),
  write: z.boolean(),
  /** Leads to all reviews on the page of the shop's own. */
  all: z.boolean(),
  button: z.object({ words: z.string().max(40), url: address }),
})
export type Heading = z.infer<typeof headingSchema>

/** How it is styled. Colours are hex, empty for the one worked out from the shop's; spaces are CSS pixels. */
const themeSchema = z.object({
  background: z.enum(backgrounds),
  colour: colourOrNone,
  text: colourOrNone,
  accent: colourOrNone,
  frame: z.enum(frames),
  /** null takes the corners of the shop's own buttons. */
  corners: z.number().int().min(0).max(ROUNDEST).nullable(),
  /** Percent of the usual space between reviews. */
  density: z.number().int().min(40).max(200),
  inside: z.number().int().min(0).max(WIDEST_SPACE),
  around: z.number().int().min(0).max(WIDEST_SPACE),
})
export type Theme = z.infer<typeof themeSchema>

const placementSchema = z.object({
  place: z.enum(places),
  /** The page it is meant for, to be seen in; empty when nobody said. */
  url: address,
  /** Where on that page, as a CSS path; empty for where its code stands. */
  spot: z.string().max(500),
})
export type Placement = z.infer<typeof placementSchema>

/** Everything that one version of a display says. `schema` numbers this shape, so that older ones can be read. */
export const configurationSchema = z.object({
  schema: z.literal(3),
  title: z.string().max(DISPLAY_TITLE_LIMIT),
  selection: selectionSchema,
  layout: arrangementSchema,
  parts: partsSchema,
  heading: headingSchema,
  theme: themeSchema,
  placement: placementSchema,
  /** What stands there when nothing fits. */
  whenEmpty: z.enum(['invitation', 'nothing']),
  /** What the page of its own says to whoever passes it on. */
  description: z.string().max(300),
  /** A file of the shop's, shown where the page of its own is passed on; empty for none. */
  picture: z.string().max(100),
})
export type Configuration = z.infer<typeof configurationSchema>
