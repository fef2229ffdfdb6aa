import { recordOf } from '../formats/keysOf'
import { keptFile } from '../formats/picture'
import { z } from 'zod'
import { ANSWER_LABEL_LIMIT } from '../intake/answer'
import { selectionSchema } from '../curation/selectionSchema'
import {
  layouts,
  DATE_PATTERN_LIMIT,
  DISPLAY_TITLE_LIMIT,
  headingBlocks,
  shopForms,
  DISPLAY_LINE_LIMIT,
  MOST_COLUMNS,
  LONGEST_AUTOPLAY,
  NARROWEST_MARK,
  WIDEST_MARK,
  edgeSides,
  speeds,
  pagings,
  nameForms,
  dateForms,
  ratingForms,
  originForms,
  businessForms,
  glyphs,
  places,
} from './choices'
import { bandSchema } from './bandSchema'
import { reviewParts, switchedParts } from './reviewParts'
import { themeSchema } from './themeSchema'

/** A column of a table; one that is not named is shown under its own heading. */
const columnSchema = z.object({
  key: z.string().max(120),
  /** Empty for its own. */
  heading: z.string().max(ANSWER_LABEL_LIMIT),
  hidden: z.boolean(),
  setOff: z.boolean(),
})
export type ConfiguredColumn = z.infer<typeof columnSchema>

/** The arrangement of the reviews. */
const arrangementSchema = z.object({
  kind: z.enum(layouts),
  /** Ascending widths of the box in CSS pixels, for two, three and four columns. */
  marks: z
    .array(z.number().int().min(NARROWEST_MARK).max(WIDEST_MARK))
    .length(MOST_COLUMNS - 1)
    .refine((marks) => marks.every((mark, i) => i === 0 || mark > marks[i - 1]!)),
  columns: z.number().int().min(1).max(MOST_COLUMNS),
  /** Seconds between two movements; 0 turns them off. */
  autoplay: z.number().int().min(0).max(LONGEST_AUTOPLAY),
  /** The number of reviews that move at once; 0 means all visible ones. */
  step: z.number().int().min(0).max(MOST_COLUMNS),
  speed: z.enum(speeds).default('usual'),
  arrows: z.boolean(),
  dots: z.boolean(),
  paging: z.enum(pagings).default('none'),
  edgeSide: z.enum(edgeSides).default('right'),
  /** Of a table, in order. */
  tableColumns: z.array(columnSchema).max(80).default([]),
})
export type Arrangement = z.infer<typeof arrangementSchema>

/** The visible parts of a review. Lengths are in words; 0 means unlimited. */
const partsSchema = z.object({
  // A version from before a part existed shows it as a new display does.
  ...recordOf(switchedParts, (part) => z.boolean().default(reviewParts[part].shown)),
  name: z.enum(nameForms),
  date: z.enum(dateForms),
  /** Unicode TR 35, such as `d MMM yyyy`. */
  datePattern: z.string().max(DATE_PATTERN_LIMIT).default('d MMM yyyy'),
  rating: z.enum(ratingForms),
  glyph: z.enum(glyphs),
  shortened: z.number().int().min(0).max(200),
  /** Where a review from another site was posted. */
  origin: z.enum(originForms).default('link'),
})
export type Parts = z.infer<typeof partsSchema>

const address = z.union([z.literal(''), z.url({ protocol: /^https?$/ }).max(2000)])

/** The part above the reviews. */
const headingSchema = z.object({
  line: z.string().max(DISPLAY_LINE_LIMIT),
  average: z.boolean(),
  count: z.boolean(),
  write: z.boolean(),
  /** Links to the page of all reviews. */
  all: z.boolean(),
  /** What other sites state themselves. */
  siteNumbers: z.boolean().default(false),
  /** Links to read all, and to write, on those sites. */
  allThere: z.boolean().default(false),
  writeThere: z.boolean().default(false),
  /** Whether visitors can choose where the reviews come from. */
  byOrigin: z.boolean().default(false),
  /** Name and picture of the business on another site, or its name with the logo of the shop. */
  business: z.enum(businessForms).default('none'),
  /** The shop's own name and logo. */
  shop: z.enum(shopForms).default('none'),
  /** How the ratings spread. */
  bars: z.boolean().default(false),
  order: z
    .array(z.enum(headingBlocks))
    .length(headingBlocks.length)
    .default([...headingBlocks]),
  button: z.object({ words: z.string().max(40), url: address }),
})
export type Heading = z.infer<typeof headingSchema>

const placementSchema = z.object({
  place: z.enum(places),
  /** The page of the preview; may be empty. */
  url: address,
  /** The position in that page as a CSS path; empty for the position of the embed code. */
  spot: z.string().max(500),
})
export type Placement = z.infer<typeof placementSchema>

/** All settings of one version of a display. `schema` is the number of this format. */
export const configurationSchema = z.object({
  schema: z.literal(3),
  title: z.string().max(DISPLAY_TITLE_LIMIT),
  selection: selectionSchema,
  layout: arrangementSchema,
  parts: partsSchema,
  heading: headingSchema,
  theme: themeSchema,
  /** What differs in boxes of some widths. */
  bands: z.object({ phone: bandSchema.optional(), tablet: bandSchema.optional() }).default({}),
  placement: placementSchema,
  /** Shown without matching reviews. */
  whenEmpty: z.enum(['invitation', 'nothing']),
  /** The description for shared links. */
  description: z.string().max(300),
  /** The picture for shared links, a file of the shop; may be empty. */
  picture: z.union([z.literal(''), keptFile]),
})
export type Configuration = z.infer<typeof configurationSchema>
