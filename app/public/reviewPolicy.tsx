import { data } from 'react-router'
import type { SelectionFact } from '../../core/display/selectionFacts'
import { oneDecimal } from '../../core/formats/rating'
import { HELD_FROM, SPAM_FROM } from '../../core/moderation/rules'
import type { CustomerTranslate } from '../../core/messages/customers/customerMessages'
import { ShopSheet } from './ShopSheet'
import { useSpeech } from './speech'
import { speechFor } from './speechFor'
import type { Route } from './+types/reviewPolicy'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const how = await context.elogio.reviewPolicy(params.shop)
  if (!how) throw data(null, { status: 404 })
  const speech = speechFor(request, how.shop)
  return { ...how, speech }
}

/** Written from current settings and counts. */
export default function How({ loaderData: how }: Route.ComponentProps) {
  const translate = useSpeech(how.speech)
  const { shop, averaged } = how
  const names = { shop: shop.shortName }
  return (
    <ShopSheet
      shop={shop}
      title={translate('policy.title')}
      description={translate('policy.read', names)}
      translate={translate}
    >
      <h1 className="text-[26px] leading-tight font-semibold">{translate('policy.title')}</h1>
      <div className="mt-5 flex flex-col gap-5 text-[15.5px] leading-relaxed">
        <Part title={translate('policy.who')}>
          <p>{translate(`policy.writers.${how.writers}`, names)}</p>
          <p>{translate('policy.bought')}</p>
          <p>{translate('policy.unproven')}</p>
        </Part>
        <Part title={translate('policy.deciding')}>
          <p>{translate('policy.read', names)}</p>
          <p>{translate('policy.rules', { held: HELD_FROM, spam: SPAM_FROM })}</p>
          {how.elsewhere.count > 0 && (
            <p>
              {translate('policy.elsewhere', {
                ...names,
                count: how.elsewhere.count,
                sites: new Intl.ListFormat(how.speech.language).format(how.elsewhere.sites),
              })}
            </p>
          )}
          <p>{translate('policy.same')}</p>
          <p>{translate('policy.unaltered')}</p>
          <dl className="mt-1 grid grid-cols-[auto_minmax(0,1fr)] gap-x-4 gap-y-0.5">
            {(['received', 'approved', 'undecided', 'declined', 'spam'] as const).map((name) => (
              <div key={name} className="contents">
                <dt className="text-right font-semibold tabular-nums" data-how={name}>
                  {how[name]}
                </dt>
                <dd>{translate(`policy.count.${name}`)}</dd>
              </div>
            ))}
          </dl>
        </Part>
        <Part title={translate('policy.average')}>
          {averaged.average === null ? (
            <p>{translate('policy.noAverage')}</p>
          ) : (
            <p data-how="average">
              {translate('policy.averageOf', {
                average: oneDecimal(averaged.average, how.speech.language),
                count: averaged.count,
              })}
            </p>
          )}
          {how.shown > averaged.count && (
            <p>{translate('policy.uncounted', { count: how.shown - averaged.count })}</p>
          )}
          {how.approved > how.shown && (
            <p>{translate('policy.unshown', { count: how.approved - how.shown })}</p>
          )}
          <p>{translate('policy.scope')}</p>
        </Part>
        <Part title={translate('policy.shown')}>
          <p>{translate('policy.shownWhy', names)}</p>
          {how.selections.length > 0 && (
            <>
              <p>{translate('policy.selectedBy')}</p>
              <ul className="list-disc pl-5">
                {how.selections.map((facts) => (
                  <li key={JSON.stringify(facts)}>
                    {facts.map((fact) => factText(fact, translate, how.speech.language)).join('; ')}
                  </li>
                ))}
              </ul>
            </>
          )}
        </Part>
        {how.form && (
          <p>
            <a className="font-semibold underline underline-offset-2" href={how.form}>
              {translate('policy.write')}
            </a>
          </p>
        )}
      </div>
    </ShopSheet>
  )
}

function factText(fact: SelectionFact, translate: CustomerTranslate, language: string): string {
  const either = (words: string[]) => new Intl.ListFormat(language, { type: 'disjunction' }).format(words)
  const names = new Intl.DisplayNames(language, { type: 'language' })
  switch (fact.by) {
    case 'ratings':
      return translate('policy.selects.ratings', { ratings: either(fact.ratings.map(String)) })
    case 'tags':
      return translate('policy.selects.tags', { tags: either(fact.tags) })
    case 'languages':
      return translate('policy.selects.languages', {
        languages: either(fact.languages.map((tag) => names.of(tag) ?? tag)),
      })
    default:
      return translate(`policy.selects.${fact.by}`)
  }
}

function Part({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <section className="flex flex-col gap-2">
      <h2 className="text-[17px] font-semibold">{title}</h2>
      {children}
    </section>
  )
}
