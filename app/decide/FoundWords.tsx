import { searchPlaces } from '../../core/moderation/searchWords'

const LEAD = 40
const FAR = 90

/** Marks the search terms in a text. If the first match is far in, the text begins shortly before it. */
export function FoundWords({ text, q }: { text: string; q: string | undefined }) {
  const places = q ? searchPlaces(text, q) : []
  const first = places[0]
  if (!first) return text
  const from = first.start > FAR ? text.indexOf(' ', first.start - LEAD) + 1 : 0
  const runs = places.map(({ start, end }, i) => ({
    before: text.slice(i === 0 ? from : places[i - 1]!.end, start),
    found: text.slice(start, end),
  }))
  return (
    <>
      {from > 0 && '… '}
      {runs.map(({ before, found }, i) => (
        <span key={i}>
          {before}
          <mark className="found-word">{found}</mark>
        </span>
      ))}
      {text.slice(places.at(-1)!.end)}
    </>
  )
}
