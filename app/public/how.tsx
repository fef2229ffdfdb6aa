import { data } from 'react-router'
import { oneDecimal } from '../../core/formats/rating'
import { HELD_FROM, SPAM_FROM } from '../../core/moderation/rules'
import { say } from '../../core/words/say'
import { ShopSheet } from './ShopSheet'
import type { Route } from './+types/how'

export async function loader({ context, params }: Route.LoaderArgs) {
  const how = await context.elogio.howHandled(params.shop)
  if (!how) throw data(null, { status: 404 })
  return how
}

/** How a shop handles its reviews, written from what is set and counted now. */
export default function How({ loaderData: how }: Route.ComponentProps) {
  const { shop, counted } = how
  const names = { shop: shop.shortName }
  return (
    <ShopSheet shop={shop} title={say('how.title')}>
      <h1 className="text-[26px] leading-tight font-semibold">{say('how.title')}</h1>
      <div className="mt-5 flex flex-col gap-5 text-[15.5px] leading-relaxed">
        <Part title={say('how.who')}>
          <p>{say(`how.writers.${how.writers}`, names)}</p>
          <p>{say('how.bought')}</p>
          <p>{say('how.unproven')}</p>
        </Part>
        <Part title={say('how.deciding')}>
          <p>{say('how.read', names)}</p>
          <p>{say('how.rules', { held: HELD_FROM, spam: SPAM_FROM })}</p>
          <p>{say('how.same')}</p>
          <p>{say('how.unaltered')}</p>
          <dl className="mt-1 grid grid-cols-[auto_minmax(0,1fr)] gap-x-4 gap-y-0.5">
            {(['received', 'approved', 'undecided', 'declined', 'spam'] as const).map((name) => (
              <div key={name} className="contents">
                <dt className="text-right font-semibold tabular-nums" data-how={name}>
                  {how[name]}
                </dt>
                <dd>{say(`how.count.${name}`)}</dd>
              </div>
            ))}
          </dl>
        </Part>
        <Part title={say('how.average')}>
          {counted.average === null ? (
            <p>{say('how.noAverage')}</p>
          ) : (
            <p data-how="average">
              {say('how.averageOf', {
                average: oneDecimal(counted.average, shop.locale),
                count: counted.count,
              })}
            </p>
          )}
          {how.shown > counted.count && <p>{say('how.uncounted', { count: how.shown - counted.count })}</p>}
          <p>{say('how.scope')}</p>
        </Part>
        <Part title={say('how.shown')}>
          <p>{say('how.shownWhy', names)}</p>
          {how.narrowed.length > 0 && (
            <>
              <p>{say('how.chosenBy')}</p>
              <ul className="list-disc pl-5">
                {how.narrowed.map((sentence) => (
                  <li key={sentence}>{sentence}.</li>
                ))}
              </ul>
            </>
          )}
        </Part>
        {how.form && (
          <p>
            <a className="font-semibold underline underline-offset-2" href={how.form}>
              {say('how.write')}
            </a>
          </p>
        )}
      </div>
    </ShopSheet>
  )
}

function Part({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <section className="flex flex-col gap-2">
      <h2 className="text-[17px] font-semibold">{title}</h2>
      {children}
    </section>
  )
}
