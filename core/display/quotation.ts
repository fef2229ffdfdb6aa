/** A review as visitors read it. */
export interface Quotation {
  publicId: string
  marks: number | null
  title: string
  paragraphs: string[]
  name: string
  language: string | null
  product: string | null
  /** How we know that the writer bought here; null when nobody does. */
  proof: string | null
  /** What else has to be said of it, such as that the shop wrote it down. */
  note: string
  role: string
  company: { name: string; url: string | null; logo: string | null } | null
  /** The address of the writer's picture; none is ever made up. */
  portrait: string | null
  relationship: string
  /** What the shop answered in public. */
  reply: { name: string; paragraphs: string[] } | null
}
