import { Link } from 'react-router'
import { countWordFirst, say } from '../../core/words/say'
import type { PickedLine } from '../../server/publishing/editorView'
import { RatingMark } from '../components/RatingMark'

/** The chosen reviews in their order, each leading to its place in Decide. */
export function PickedList({ shop, picked, stock }: { shop: string; picked: PickedLine[]; stock: number }) {
  return (
    <aside className="flex min-h-0 flex-col border-l border-line bg-paper" aria-labelledby="picked">
      <h2 id="picked" className="flex justify-between border-b border-line px-4 py-2.5 font-semibold">
        {picked.length === 0
          ? say('show.noneChosen')
          : say('show.chosen', { Count: countWordFirst(picked.length) })}
        {stock > 0 && <span className="font-normal text-soft">{say('show.ofStock', { stock })}</span>}
      </h2>
      <ol className="min-h-0 flex-1 overflow-y-auto">
        {picked.map(({ publicId, name, rating, words }) => (
          <li key={publicId} className="border-b border-line">
            <Link to={`/s/${shop}/decide/${publicId}`} className="block px-4 py-2.5 hover:bg-wash">
              <span className="flex items-center gap-2">
                <b className="truncate font-semibold">{name}</b>
                <RatingMark rating={rating} />
              </span>
              <span className="customer-words block truncate text-[14.5px]" dir="auto">
                {words}
              </span>
            </Link>
          </li>
        ))}
      </ol>
    </aside>
  )
}
