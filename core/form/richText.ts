import { keptFile } from '../formats/picture'

/**
 * Text with headings, paragraphs, lists, pictures, bold, italics and links, as a tree of the kind that the editor of the
 * form's text has.
 */
export type RichText = (Heading | Paragraph | List | Picture)[]

interface Heading {
  type: 'heading'
  content: Run[]
}

/** A file of the shop. */
export interface Picture {
  type: 'picture'
  attrs: { name: string; alt: string }
}

export interface Paragraph {
  type: 'paragraph'
  content: Run[]
}

export interface List {
  type: 'bulletList'
  content: { type: 'listItem'; content: Paragraph[] }[]
}

/** Text of one look. */
export interface Run {
  type: 'text'
  text: string
  marks: Mark[]
}

type Mark = { type: 'bold' } | { type: 'italic' } | { type: 'link'; attrs: { href: string } }

const MOST_BLOCKS = 60
const HREF_LIMIT = 2000
const MOST_PICTURES = 3
/** Characters of the description of a picture. */
export const ALT_LIMIT = 200

/**
 * What may be shown of a text from elsewhere: a string, with a paragraph for each line; or a document of the editor,
 * of which only what is listed above is kept. Without words or pictures, nothing is. Everything else is left out, and
 * what is longer than the limit.
 * @param limit in characters
 */
export function cutRichText(given: unknown, limit: number): RichText {
  const room = { left: limit, pictures: MOST_PICTURES }
  if (typeof given === 'string')
    return given
      .split('\n')
      .slice(0, MOST_BLOCKS)
      .flatMap((line) => (line === '' ? [] : [paragraph([run({ text: line }, room)])]))
      .filter(({ content }) => content.length > 0)
  const kept = partsOf(given).flatMap((block): RichText => {
    const type = typeIn(block)
    if (type === 'paragraph') return [paragraphOf(block, room)]
    if (type === 'heading') return [{ type, content: paragraphOf(block, room).content }]
    if (type === 'picture') return pictureOf(block, room)
    if (type !== 'bulletList') return []
    const items = partsOf(block)
      .filter((item) => typeIn(item) === 'listItem')
      .map((item) => ({
        type: 'listItem' as const,
        content: partsOf(item)
          .filter((part) => typeIn(part) === 'paragraph')
          .map((part) => paragraphOf(part, room)),
      }))
      .filter(({ content }) => content.length > 0)
    return items.length > 0 ? [{ type: 'bulletList', content: items }] : []
  })
  const isEmpty = plainTextOf(kept) === '' && room.pictures === MOST_PICTURES
  return isEmpty ? [] : kept
}

const isObject = (given: unknown): given is Record<string, unknown> =>
  typeof given === 'object' && given !== null
const typeIn = (given: unknown): unknown => (isObject(given) ? given.type : undefined)

/** The parts of a document, a block or a list of blocks. */
function partsOf(given: unknown): unknown[] {
  const parts = Array.isArray(given) ? (given as unknown[]) : isObject(given) ? given.content : []
  return Array.isArray(parts) ? (parts as unknown[]).slice(0, MOST_BLOCKS) : []
}

const paragraph = (runs: (Run | null)[]): Paragraph => ({
  type: 'paragraph',
  content: runs.filter((one) => one !== null),
})

const paragraphOf = (given: unknown, room: { left: number }): Paragraph =>
  paragraph(partsOf(given).map((part) => (typeIn(part) === 'text' ? run(part, room) : null)))

function pictureOf(given: unknown, room: { pictures: number }): Picture[] {
  const attrs = isObject(given) && isObject(given.attrs) ? given.attrs : {}
  const name = keptFile.safeParse(attrs.name)
  if (!name.success || room.pictures === 0) return []
  room.pictures--
  const alt = typeof attrs.alt === 'string' ? attrs.alt.slice(0, ALT_LIMIT) : ''
  return [{ type: 'picture', attrs: { name: name.data, alt } }]
}

function run(given: unknown, room: { left: number }): Run | null {
  const { text, marks } = given as Record<string, unknown>
  if (typeof text !== 'string' || room.left <= 0) return null
  const kept = text.slice(0, room.left)
  room.left -= kept.length
  return kept === '' ? null : { type: 'text', text: kept, marks: partsOf(marks).flatMap(markOf) }
}

function markOf(given: unknown): Mark[] {
  const type = typeIn(given)
  if (type === 'bold' || type === 'italic') return [{ type }]
  const href = isObject(given) && isObject(given.attrs) ? given.attrs.href : undefined
  return type === 'link' && isHref(href) ? [{ type, attrs: { href } }] : []
}

/** Whether a text is an address that a link may lead to: of a page, or for an email. */
export const isHref = (given: unknown): given is string =>
  typeof given === 'string' &&
  given.length <= HREF_LIMIT &&
  /^(?:https?:\/\/|mailto:)[^\s]+$/i.test(given) &&
  URL.canParse(given)

/** The text alone, a line for each paragraph. */
export function plainTextOf(text: RichText): string {
  const lineOf = ({ content }: Paragraph | Heading) => content.map((one) => one.text).join('')
  return text
    .flatMap((block) => {
      if (block.type === 'picture') return []
      return block.type === 'bulletList'
        ? block.content.flatMap((item) => item.content.map(lineOf))
        : [lineOf(block)]
    })
    .join('\n')
    .trim()
}
