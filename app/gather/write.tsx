import { useEffect, useState } from 'react'
import { data, Link, useFetcher, useLocation } from 'react-router'
import { z } from 'zod'
import { dayIn } from '../../core/formats/dates'
import { manualEntrySchema } from '../../core/intake/manualEntry'
import { readText, type ReadReview } from '../../core/intake/text/readText'
import { translateCode } from '../../core/messages/code'
import { say } from '../../core/messages/say/write'
import { requireShop } from '../account/session'
import { orOffline } from '../offline'
import { formFields, jsonText, readForm } from '../readForm'
import { NextStep } from '../components/NextStep'
import { Problem } from '../components/Problem'
import { Checkbox, EntryFields } from './EntryFields'
import { valuesFound } from './entryValues'
import { entryErrors, evidenceFrom } from './evidenceFrom'
import { FoundList } from './FoundList'
import { PasteField } from './PasteField'
import type { Route } from './+types/write'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop)
  return {
    next: await context.elogio.nextStep(shop),
    tags: await context.elogio.findTags(shop, ''),
    products: await context.elogio.productChoices(shop),
    today: dayIn(shop.timeZone, context.elogio.now()),
    ownNames: [shop.name, shop.shortName],
  }
}

interface Saved {
  saved: { publicId: string; name: string; state: string; consent: boolean; count: number }
}
type Answer = Saved | { errors: Record<string, string[] | undefined> } | { problem: string }

const MOST_OTHERS = 100

/** Other reviews found in the same text, which are saved with the same permission. */
const othersSchema = z.object({
  others: jsonText(
    z
      .array(
        z.object({
          number: z.number().int(),
          rating: z.string(),
          body: z.string(),
          author_name: z.string(),
          role: z.string(),
          company: z.string(),
          written_at: z.string(),
        }),
      )
      .max(MOST_OTHERS),
  ).optional(),
})

export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop, actor } = await requireShop(request, context, params.shop)
  const schema = manualEntrySchema(
    await context.elogio.knownSkus(shop, [String(context.form?.get('product') ?? '')]),
    dayIn(shop.timeZone, context.elogio.now()),
  )
  const entry = schema.safeParse(formFields(context))
  const evidence = await evidenceFrom(context.form)
  if (!entry.success || evidence.errors.length > 0)
    return data({ errors: entryErrors(entry, evidence) }, { status: 422 })
  const { consent, waiting } = entry.data
  const others = (readForm(context, othersSchema).others ?? []).map(({ number, ...values }) => ({
    number,
    read: schema.safeParse({ ...values, consent, waiting }),
  }))
  const unfit = others.find(({ read }) => !read.success)
  if (unfit) {
    const why = unfit.read.error!.issues.map(({ message }) => translateCode(say, message)).join(' ')
    return data({ problem: say('write.error.other', { number: unfit.number, why }) }, { status: 422 })
  }
  const { publicId, state } = await context.elogio.writeDown(shop, actor, entry.data, evidence.files)
  for (const { read } of others) await context.elogio.writeDown(shop, actor, read.data!)
  const name = entry.data.author_name.trim()
  return { saved: { publicId, name, state, consent: consent === 'on', count: 1 + others.length } }
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline(serverAction)
}

export default function Write({ loaderData, params }: Route.ComponentProps) {
  const { products, tags, today, ownNames } = loaderData
  const pastedBefore: unknown = useLocation().state
  const [pasted, setPasted] = useState(typeof pastedBefore === 'string' ? pastedBefore : '')
  const [at, setAt] = useState(0)
  const [turn, setTurn] = useState(0)
  const [savedPlaces, setSavedPlaces] = useState<number[]>([])
  const fetcher = useFetcher<Answer>()
  const found = pasted.trim() ? readText(pasted, ownNames, today) : []
  const current = found[at] ?? null
  const open = found.map((_, i) => i).filter((i) => !savedPlaces.includes(i))
  const others = open.filter((i) => i !== at)

  const [done, setDone] = useState<Saved['saved'] | null>(null)
  const [isUnfolded, setIsUnfolded] = useState(false)
  const [isAgreedAsBefore, setIsAgreedAsBefore] = useState(false)
  const [next, setNext] = useState<'pasted' | 'body'>('pasted')
  const answer = fetcher.data
  const saved = answer && 'saved' in answer ? answer.saved : null
  // A saved review is replaced by the next one found, or by an empty form.
  if (saved && saved !== done) {
    setDone(saved)
    setTurn(turn + 1)
    const following = others.find((i) => i > at) ?? others[0]
    setNext(current && following === undefined ? 'pasted' : 'body')
    if (following !== undefined && saved.count === 1) {
      setSavedPlaces([...savedPlaces, at])
      setAt(following)
    } else {
      setPasted('')
      setSavedPlaces([])
      setAt(0)
    }
  }
  useEffect(() => {
    if (turn > 0) document.querySelector<HTMLElement>(`[name=${next}]`)?.focus()
  }, [turn, next])

  return (
    <main className="grid min-h-0 flex-1 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)] lg:grid-rows-[minmax(0,1fr)]">
      <title>{`${say('write.title')} · Elogio`}</title>
      <div className="relative overflow-y-auto px-6 py-6">
        <h1>{say('write.title')}</h1>
        <p className="mt-1 mb-4 text-soft">{say('write.lead')}</p>
        <PasteField
          pasted={pasted}
          current={current}
          count={found.length}
          at={at}
          paste={(text) => {
            setPasted(text)
            setSavedPlaces([])
            setAt(0)
            setTurn(turn + 1)
          }}
        />
        <p role="status" className="mt-4">
          {done && (
            <>
              <b className={`font-semibold ${done.consent ? 'text-moss' : 'text-ochre'}`}>
                {savedWords(done)}
              </b>{' '}
              <Link className="part" to={`/s/${params.shop}/decide/${done.publicId}`}>
                {say('write.see')}
              </Link>
            </>
          )}
        </p>
        {done && (
          <div className="mt-4">
            <NextStep shop={params.shop} step={loaderData.next} />
          </div>
        )}
      </div>
      <div className="relative overflow-y-auto border-l border-line bg-paper px-6 py-6">
        {found.length > 1 && <FoundList found={found} at={at} saved={savedPlaces} open={(i) => setAt(i)} />}
        <fetcher.Form method="post" encType="multipart/form-data" key={`${turn}.${at}`}>
          <EntryFields
            values={{ ...valuesFound(current), consent: isAgreedAsBefore }}
            isUnfolded={isUnfolded}
            unfold={setIsUnfolded}
            products={products}
            tags={tags}
            today={today}
            errors={answer && 'errors' in answer ? answer.errors : {}}
          />
          {done?.consent && (
            <label className="mt-2 flex min-h-6 items-start gap-3">
              <input
                type="checkbox"
                checked={isAgreedAsBefore}
                className="checkbox checkbox-sm mt-0.5 rounded-[5px] border-edge"
                onChange={({ currentTarget: { checked, form } }) => {
                  setIsAgreedAsBefore(checked)
                  const consent = form?.elements.namedItem('consent')
                  if (consent instanceof HTMLInputElement) consent.checked = checked
                }}
              />
              {say('write.asBefore')}
            </label>
          )}
          <Problem text={answer && 'problem' in answer ? answer.problem : null} />
          <div className="mt-4 flex flex-wrap items-center gap-x-5 gap-y-2">
            <button className={`btn ${others.length > 0 ? 'btn-quiet' : 'btn-primary'}`}>
              {say('write.save')}
            </button>
            {others.length > 0 && (
              <button
                name="others"
                value={JSON.stringify(others.map((i) => foundValues(found[i]!, i)))}
                className="btn btn-primary"
              >
                {say('write.saveAll', { count: open.length })}
              </button>
            )}
            <Checkbox name="waiting" label={say('write.waiting')} />
          </div>
          {others.length > 0 && (
            <p className="mt-2 text-[13px] text-soft">{say('write.saveAllHint', { count: others.length })}</p>
          )}
        </fetcher.Form>
      </div>
    </main>
  )
}

function savedWords({ consent, name, state, count }: Saved['saved']): string {
  if (count > 1) return say(consent ? 'write.savedMany' : 'write.savedManyPrivate', { count })
  return say(consent ? 'write.saved' : 'write.savedPrivate', {
    who: name || say('write.someone'),
    state: say(`state.${state as 'approved'}`).toLowerCase(),
  })
}

function foundValues(found: ReadReview, at: number) {
  const { rating, body, author_name, role, company, written_at } = valuesFound(found)
  return { number: at + 1, rating, body, author_name, role, company, written_at }
}
