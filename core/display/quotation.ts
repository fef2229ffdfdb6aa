import type { Excerpt } from './excerpt'

/** A review as visitors read it. What is hidden or missing is empty or null. */
export interface Quotation {
  publicId: string
  /** In hundredths of five, also where no rating is shown; null when there is none. */
  rated: number | null
  /** Whether a customer wrote it, so that it counts. */
  counted: boolean
  /** The day it was written (`YYYY-MM-DD`), also where no date is shown; null when nobody told. */
  written: string | null
  marks: number | null
  /** The rating as a numeral, where one is shown. */
  numeral: string
  title: string
  words: Excerpt
  name: string
  language: string | null
  product: string | null
  /** When it was written, as a machine and as a person reads it. */
  date: { at: string; words: string } | null
  /** That the writer bought here, and how we know; null when nobody does. */
  proof: { words: string; how: string } | null
  /** What else has to be said of it, such as that the shop wrote it down. */
  note: string
  role: string
  company: { name: string; url: string | null; logo: string | null } | null
  /** The address of the writer's picture; none is ever made up. */
  portrait: string | null
  /** What its writer photographed, by the addresses of its files. */
  photos: { large: string; small: string; width: number; height: number; alt: string }[]
  relationship: string
  /** What the shop answered in public. */
  reply: { name: string; paragraphs: string[] } | null
}
