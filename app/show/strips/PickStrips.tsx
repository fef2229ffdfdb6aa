import { ProductSelect } from '../../components/ProductSelect'
import { useSearchParams } from 'react-router'
import { anyRating } from '../../../core/curation/selection'
import { selectionOrders } from '../../../core/curation/selectionOrders'
import { ratingText } from '../../../core/messages/display/listed'
import { say } from '../../../core/messages/say/show'
import { Stitches } from '../../components/RatingMark'
import { Choices } from '../Choices'
import { NumberField } from '../NumberField'
import { Checkboxes } from '../Checkboxes'
import { changing, type StripProps } from './stripProps'

const numbers = [1, 3, 4, 6, 8, 9, 12, 24]

export function NumberStrip(props: StripProps) {
  const { limit } = props.draft.selection
  const set = (number: number) => changing(props, 'selection')({ limit: number })
  return (
    <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
      <Choices
        name="limit"
        label={say('display.part.limit')}
        value={limit}
        choices={numbers.map((number) => ({ value: number, words: String(number) }))}
        choose={set}
      />
      <NumberField value={limit} set={set} />
      <span className="text-[13px] text-soft">{say('show.fits', { count: props.view.facets.all })}</span>
    </div>
  )
}

export function RatingsStrip(props: StripProps) {
  const { ratings } = props.draft.selection
  const { facets } = props.view
  const set = (marks: number[]) => changing(props, 'selection')({ ratings: marks })
  const from = (lowest: number) => anyRating.filter((mark) => mark >= lowest)
  const among = (marks: number[]) => marks.reduce((sum, mark) => sum + (facets.ratings[mark] ?? 0), 0)
  return (
    <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
      <Choices
        name="ratings"
        label={say('display.part.ratings')}
        value={anyRating.find((lowest) => from(lowest).join() === ratings.join()) ?? 0}
        choices={anyRating.map((lowest) => ({
          value: lowest,
          words: ratingText(from(lowest)),
          picture: <Stitches lit={lowest === 1 ? 0 : lowest} />,
          ...(lowest > 1 && { small: say('show.fits', { count: among(from(lowest)) }) }),
        }))}
        choose={(lowest) => set(from(lowest))}
      />
      <div className="flex items-center gap-2.5">
        <span className="text-[13px] text-soft">{say('show.orExactly')}</span>
        <Checkboxes
          label={say('show.orExactly')}
          chosen={ratings.map(String)}
          choices={anyRating.map((mark) => ({
            value: String(mark),
            words: String(mark),
            count: facets.ratings[mark] ?? 0,
          }))}
          choose={(marks) => marks.length > 0 && set(marks.map(Number).toSorted((a, b) => a - b))}
        />
      </div>
    </div>
  )
}

export function ProductsStrip(props: StripProps) {
  const { products } = props.draft.selection
  const { view } = props
  const set = changing(props, 'selection')
  const { products: offered, isPart } = view.products
  const first = offered.find(({ sku }) => view.facets.products[sku]) ?? offered[0]
  return (
    <div className="flex flex-col gap-3">
      <Choices
        name="products"
        label={say('display.part.products')}
        value={products.kind}
        choices={[
          { value: 'every', words: say('display.products.every') },
          { value: 'page', words: say('display.products.page'), small: 'data-product' },
          ...(first ? [{ value: 'chosen' as const, words: say('show.chosenProducts') }] : []),
        ]}
        choose={(kind) =>
          set({
            products: kind === 'chosen' ? { kind, skus: first ? [first.sku] : [] } : { kind },
          })
        }
      />
      {products.kind === 'chosen' && (
        <Checkboxes
          label={say('show.chosenProducts')}
          chosen={products.skus}
          choices={offered.map(({ sku, title }) => ({
            value: sku,
            words: title,
            count: view.facets.products[sku] ?? 0,
          }))}
          choose={(skus) => skus.length > 0 && set({ products: { kind: 'chosen', skus } })}
        />
      )}
      {products.kind === 'chosen' && isPart && (
        <label className="flex flex-wrap items-center gap-2 text-soft">
          {say('show.anotherProduct')}
          <ProductSelect
            choices={view.products}
            value="?"
            choose={(sku) =>
              set({ products: { kind: 'chosen', skus: [...new Set([...products.skus, sku])] } })
            }
            className="select-sm w-60 text-ink"
          />
        </label>
      )}
      {products.kind === 'page' && <OnProduct view={view} />}
    </div>
  )
}

/** The product of the preview, for displays that depend on their page. */
function OnProduct({ view }: Pick<StripProps, 'view'>) {
  const [search, setSearch] = useSearchParams()
  return (
    <label className="flex flex-wrap items-center gap-2 text-soft">
      {say('show.seenOnPageOf')}
      <ProductSelect
        choices={view.products}
        value={search.get('product') ?? ''}
        none={say('show.noProduct')}
        counts={view.facets.products}
        choose={(sku) => {
          const next = new URLSearchParams(search)
          if (sku) next.set('product', sku)
          else next.delete('product')
          setSearch(next, { replace: true, preventScrollReset: true })
        }}
        className="select-sm w-auto text-ink"
      />
      <span className="text-[13px]">{say('show.productByCode')}</span>
    </label>
  )
}

export function OrderStrip(props: StripProps) {
  const { selection } = props.draft
  const { view } = props
  return (
    <Choices
      name="order"
      label={say('display.part.order')}
      value={selection.order}
      tight
      choices={selectionOrders.map((order) => ({
        value: order,
        words: say(`display.order.${order}`),
        picture: (
          <span className="flex flex-col">
            {view.firstByOrder[order].map(({ publicId, name, rating }) => (
              <span key={publicId} className="flex items-end gap-1.5 text-[12px] leading-[1.25] text-ink">
                {rating !== null && <b>{rating / 100}</b>}
                {name}
              </span>
            ))}
          </span>
        ),
      }))}
      choose={(order) =>
        changing(
          props,
          'selection',
        )({
          order,
          // A manual order begins with the current order.
          ...(order === 'hand' && { hand: view.picked.map(({ publicId }) => publicId), pins: [] }),
        })
      }
    />
  )
}
