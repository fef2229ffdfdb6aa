import { ProductSelect } from '../components/ProductSelect'
import type { ProductChoices } from '../../server/collection/productChoices'
import { Form, Link, useNavigation } from 'react-router'
import { customerLanguages } from '../../core/messages/customers/languages'
import { languageName } from '../../core/messages/languageName'
import { say } from '../../core/messages/say/listings'
import type { Described } from '../../server/listing/understand'
import type { SiteView } from '../../server/listing/listingViews'
import { isPage } from './listingWords'
import { MatchColumns } from './MatchColumns'

const field = 'select border-edge'

/** What happens with the reviews of a business, and the one button that connects it. */
export function ConnectForm({
  shop,
  described,
  site,
  kind,
  accessKey,
  products,
  locale,
  timeZone,
}: {
  shop: string
  described: Described
  site: SiteView
  kind: 'listing' | 'post'
  accessKey: string
  products: ProductChoices
  locale: string
  timeZone: string
}) {
  const sheet = described.business?.sheet
  const isBusy = useNavigation().state !== 'idle'
  const again = `/s/${shop}/gather/connect?site=${site.origin}`
  if (described.connected)
    return (
      <p className="flex flex-wrap items-center gap-4">
        {say('listings.already')}
        <Link to={`/s/${shop}/gather/listings/${described.connected}`} className="btn btn-primary">
          {say('listings.open')}
        </Link>
      </p>
    )
  return (
    <Form method="post" className="flex flex-col gap-4">
      <input type="hidden" name="site" value={site.origin} />
      <input type="hidden" name="id" value={described.id} />
      <input type="hidden" name="kind" value={kind} />
      <input type="hidden" name="accessKey" value={accessKey} />
      {sheet && (
        <MatchColumns
          sheet={sheet}
          start={{ ...sheet.guess, isDayFirst: sheet.guess.isDayFirst ?? locale !== 'en-US', timeZone }}
          locale={locale}
        />
      )}
      {isPage(site.origin) && (
        <label className="flex flex-wrap items-center gap-x-3">
          <span className="font-semibold">{say('listings.sheet.name')}</span>
          <input
            name="name"
            maxLength={80}
            defaultValue={described.business?.name}
            className="input border-edge"
          />
        </label>
      )}
      <label className="flex flex-wrap items-center gap-x-2">
        {say('listings.arrivals')}
        <select name="arrivesAs" className="part field-sizing-content min-h-6 cursor-pointer bg-transparent">
          {(['approved', 'waiting'] as const).map((state) => (
            <option key={state} value={state}>
              {say(`listings.arrivesAs.${state}`)}
            </option>
          ))}
        </select>
      </label>
      {kind === 'listing' && (
        <details>
          <summary className="part min-h-6 cursor-pointer">{say('listings.more')}</summary>
          <div className="mt-3 flex flex-col gap-4">
            <fieldset>
              <legend className="font-semibold">{say('listings.languages')}</legend>
              <p className="text-[13px] text-soft">{say('listings.languagesHint')}</p>
              <div className="flex flex-wrap gap-x-5 gap-y-1 pt-1">
                {customerLanguages.map((language) => (
                  <label key={language} className="flex min-h-6 items-center gap-2">
                    <input
                      type="checkbox"
                      name="languages"
                      value={language}
                      className="checkbox checkbox-sm"
                    />
                    {languageName(language)}
                  </label>
                ))}
              </div>
            </fieldset>
            <label className="flex flex-wrap items-center gap-x-3">
              <span className="font-semibold">{say('listings.product')}</span>
              <ProductSelect
                name="product"
                choices={products}
                value=""
                none={say('listings.noProduct')}
                className={field}
              />
            </label>
            <label className="flex flex-wrap items-center gap-x-3">
              <span className="font-semibold">{say('listings.tag')}</span>
              <input name="tag" maxLength={40} className="input border-edge" />
              <span className="text-[13px] text-soft">{say('listings.tagHint')}</span>
            </label>
          </div>
        </details>
      )}
      <div className="flex flex-wrap items-center gap-3">
        <button name="intent" value="connect" className="btn btn-primary" aria-busy={isBusy}>
          {say(
            kind === 'post'
              ? 'listings.bringPost'
              : isPage(site.origin)
                ? 'listings.bringSheet'
                : 'listings.isMine',
          )}
        </button>
        <Link to={again} className="btn btn-quiet">
          {say('listings.notMine')}
        </Link>
      </div>
    </Form>
  )
}
