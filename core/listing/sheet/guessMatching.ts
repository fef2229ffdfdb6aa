import { normalizeText } from '../../formats/normalizeText'
import { ANSWER_LABEL_LIMIT } from '../../intake/answer'
import type { ColumnUse, GuessedMatching, SheetColumn, SheetScale } from '../matching'
import type { SheetCells } from '../sheetSample'
import { isDayFirstIn, readDateCell, readRatingCell } from './cells'

/** Cells that are looked at in each column. */
const SAMPLED = 200
const UTC = { isDayFirst: true, timeZone: 'UTC' }

/** Words in headings, without accents, in the languages of customers. */
const named: Partial<Record<ColumnUse, RegExp>> = {
  date: /\b(date|time|timestamp|when|day|datum|zeit|zeitstempel|date|heure|fecha|hora|data|godzina)\b/,
  name: /\b(names?|surname|family|last|first|who|reviewer|author|customer|client|guest|vorname|nachname|kunde|kundin|verfasser|nom|prenom|auteur|nombre|autor|cliente|imie|nazwisko|klient|nome|called)\b/,
  rating:
    /\b(rating|rate|stars?|score|points|bewertung|sterne|note|punkte|etoiles|calificacion|puntuacion|estrellas|ocena|gwiazdki)\b/,
  title:
    /\b(title|headline|subject|titel|uberschrift|betreff|titre|objet|titulo|asunto|tytul|temat|titolo)\b/,
  words:
    /\b(review|comments?|feedback|words|message|opinion|testimonial|say|tell|kommentar|rezension|meinung|erfahrung|commentaire|avis|temoignage|comentario|resena|opinia|komentarz)\b/,
  private:
    /\b(e ?mail|phone|telephone|mobile|address|street|postcode|zip|birth|ip|token|order (no|number)|consent|telefon|adresse|strasse|courriel|correo|telefono|direccion|adres)\b|^(row|id|no|number)$| (nr|no|id)$/,
}

/** What the content of a column looks like, each as a share of its filled cells. */
interface Content {
  filled: number
  dates: number
  ratings: number
  contacts: number
  /** Characters in an average filled cell. */
  length: number
  distinct: number
  top: number
}

function contentOf(cells: string[]): Content {
  const filled = cells.filter((cell) => cell !== '').slice(0, SAMPLED)
  const share = (fits: (cell: string) => boolean) =>
    filled.length === 0 ? 0 : filled.filter(fits).length / filled.length
  const numbers = filled.map((cell) => Number(cell.replace(',', '.'))).filter((one) => !Number.isNaN(one))
  return {
    filled: filled.length,
    dates: share((cell) => readDateCell(cell, UTC) !== null),
    ratings: share((cell) => readRatingCell(cell, 100) !== null),
    contacts: share((cell) => /\S@\S+\.\S/.test(cell) || /^\+?[\d\s()/-]{7,}$/.test(cell)),
    length: filled.reduce((sum, cell) => sum + cell.length, 0) / Math.max(1, filled.length),
    distinct: new Set(filled).size / Math.max(1, filled.length),
    top: Math.max(0, ...numbers),
  }
}

interface Described {
  heading: string
  spoken: string
  content: Content
}

/**
 * How the columns of a table are probably meant, by their headings and contents. Contact details are private
 * and names shortened, so that nothing is shown by mistake.
 */
export function guessMatching({ headings, rows }: SheetCells): GuessedMatching {
  const columns = headings.map((heading, i): Described => ({
    heading,
    spoken: normalizeText(heading).replace(/[^\p{L}\d]+/gu, ' '),
    content: contentOf(rows.slice(0, SAMPLED).map((cells) => cells[i]!)),
  }))
  const uses = new Map<Described, ColumnUse>()
  for (const column of columns) if (isPrivate(column)) uses.set(column, 'private')
  for (const use of ['date', 'rating', 'name', 'title', 'words'] as const) {
    const best = columns
      .filter((column) => !uses.has(column))
      .map((column) => ({ column, fit: fitOf(use, column) }))
      .toSorted((a, b) => b.fit - a.fit)[0]
    if (best && best.fit > 0) uses.set(best.column, use)
  }
  const ofUse = (use: ColumnUse) => columns.find((column) => uses.get(column) === use)
  const dates = ofUse('date')
  return {
    columns: columns.map((column) => columnOf(column.heading, uses.get(column) ?? unmatchedUse(column))),
    scale: scaleOf(ofUse('rating')?.content.top ?? 5),
    isDayFirst: dates ? isDayFirstIn(rows.map((cells) => cells[headings.indexOf(dates.heading)]!)) : null,
  }
}

const columnOf = (heading: string, use: ColumnUse): SheetColumn => ({
  heading,
  use,
  label: use === 'answer' ? heading.slice(0, ANSWER_LABEL_LIMIT) : '',
  isShortened: use === 'name' || use === 'date',
})

/** A further part of a name, and a further date, are for the owner alone until she says otherwise. */
const unmatchedUse = ({ spoken, content: { dates } }: Described): ColumnUse =>
  named.name!.test(spoken) || named.date!.test(spoken) || dates > 0.5 ? 'private' : 'answer'

const scaleOf = (top: number): SheetScale => (top <= 5 ? 5 : top <= 10 ? 10 : 100)

const isPrivate = ({ spoken, content: { contacts, dates } }: Described) =>
  dates < 0.5 && (contacts > 0.4 || named.private!.test(spoken))

/** How well a column fits a use; 0 or less does not fit. */
function fitOf(use: ColumnUse, { spoken, content }: Described): number {
  const isNamed = named[use]?.test(spoken) ? 1 : 0
  const { dates, ratings, length, distinct, filled } = content
  // An empty sheet has only headings.
  if (filled === 0) return isNamed
  switch (use) {
    case 'date':
      return dates > 0.6 ? 1 + isNamed : 0
    case 'rating':
      return ratings > 0.6 && length < 12 && dates < 0.5 ? (isNamed ? 2 : content.top <= 10 ? 0.5 : 0) : 0
    case 'name':
      return isNamed && length < 40 && ratings < 0.5 && dates < 0.5 ? 1 + distinct : 0
    case 'title':
      return isNamed && length < 120 ? 1 : 0
    case 'words':
      return length >= 25 || isNamed ? (length / 200) * (0.5 + distinct) + isNamed : 0
    default:
      return 0
  }
}
