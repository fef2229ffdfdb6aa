import { Link } from 'react-router'
import { say } from '../../core/messages/say/gather'
import { CopyButton } from '../components/CopyButton'

const FIRST_FEW = 6

/** Products without reviews, each with a link to a form about it. */
export function QuietProducts({
  shop,
  unreviewed: { first: products, count },
  total,
  isOwner,
  form,
}: {
  shop: string
  unreviewed: { first: { sku: string; title: string; picture: string | null; sold: number }[]; count: number }
  total: number
  isOwner: boolean
  form: string | null
}) {
  const row = ({ sku, title, picture, sold }: (typeof products)[number]) => (
    <li key={sku} className="flex flex-wrap items-center gap-x-4 gap-y-2 px-[18px] py-2.5">
      {picture && <img src={`/media/${picture}`} alt="" className="size-9 rounded-md" />}
      <span className="min-w-0 flex-1 basis-48">
        {title} <span className="text-soft">{sold > 0 && say('gather.sold', { count: sold })}</span>
      </span>
      {form && (
        <CopyButton text={`${form}?product=${encodeURIComponent(sku)}`} label={say('gather.copyForIt')} />
      )}
    </li>
  )
  return (
    <section aria-labelledby="quiet" className="mt-7">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4 px-[18px] pb-2">
        <h2 id="quiet" className="text-soft">
          {total === 0
            ? say('gather.noProducts')
            : count === 0
              ? say('gather.products', { count: total })
              : say('gather.quiet', { count, total })}
        </h2>
        {isOwner && (
          <Link to={`/s/${shop}/gather/products`} className="min-h-6 text-petrol underline">
            {say(total === 0 ? 'gather.addProducts' : 'gather.allProducts')}
          </Link>
        )}
      </div>
      {products.length > 0 && (
        <ul className="panel divide-y divide-line">{products.slice(0, FIRST_FEW).map(row)}</ul>
      )}
      {products.length > FIRST_FEW && (
        <details className="mt-2">
          <summary className="cursor-pointer px-[18px] font-semibold text-petrol">
            {say('gather.quietMore', { count: products.length - FIRST_FEW })}
          </summary>
          <ul className="panel mt-2 divide-y divide-line">{products.slice(FIRST_FEW).map(row)}</ul>
        </details>
      )}
    </section>
  )
}
