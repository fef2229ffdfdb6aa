import { data, Link, redirect, useFetcher } from 'react-router'
import { z } from 'zod'
import { dayIn } from '../../core/formats/dates'
import { MOST_EVIDENCE_FILES } from '../../core/intake/evidence'
import { manualEntrySchema } from '../../core/intake/manualEntry'
import { openStates } from '../../core/moderation/rules'
import { say } from '../../core/messages/say/write'
import { requireShop } from '../account/session'
import { Problem } from '../components/Problem'
import { orOffline } from '../offline'
import { formFields, readForm } from '../readForm'
import { Checkbox, EntryFields } from '../gather/EntryFields'
import { valuesOf } from '../gather/entryValues'
import { entryErrors, evidenceFrom } from '../gather/evidenceFrom'
import type { Route } from './+types/correct'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop)
  const view = await context.elogio.correctionView(shop, params.review)
  if (!view) throw data(null, { status: 404 })
  return {
    view,
    products: await context.elogio.productChoices(shop, view.productSku ? [view.productSku] : []),
    tags: await context.elogio.findTags(shop, ''),
    today: dayIn(shop.timeZone, context.elogio.now()),
  }
}

type Answer = { errors: Record<string, string[] | undefined> } | { problem: string }

const sent = z.object({ revision: z.coerce.number().int() })

export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop, actor } = await requireShop(request, context, params.shop)
  const { revision } = readForm(context, sent)
  const view = await context.elogio.correctionView(shop, params.review)
  if (!view) return data({ problem: say('correct.gone') }, { status: 422 })
  const entry = manualEntrySchema(
    await context.elogio.knownSkus(shop, [String(context.form?.get('product') ?? '')]),
    dayIn(shop.timeZone, context.elogio.now()),
    view.confirmed,
  ).safeParse(formFields(context))
  const keptEvidence = (context.form?.getAll('kept_evidence') ?? []).map(String)
  const evidence = await evidenceFrom(context.form, MOST_EVIDENCE_FILES - keptEvidence.length)
  if (!entry.success || evidence.errors.length > 0)
    return data({ errors: entryErrors(entry, evidence) }, { status: 422 })
  const correction = { ...entry.data, keptEvidence, newEvidence: evidence.files }
  const result = await context.elogio.correctReview(shop, actor, params.review, correction, revision)
  switch (result.outcome) {
    case 'gone':
      return data({ problem: say('correct.gone') }, { status: 422 })
    case 'conflict':
      return data(
        { problem: say('correct.conflict', { state: say(`state.${result.state}`).toLowerCase() }) },
        { status: 409 },
      )
    case 'same':
      return { problem: say('correct.same') }
    case 'done':
      return redirect(`/s/${shop.slug}/decide/${params.review}?lane=${result.state}`)
  }
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline(serverAction)
}

/** Corrects a review that the shop added. */
export default function Correct({ loaderData, params }: Route.ComponentProps) {
  const { view, products, tags, today } = loaderData
  const fetcher = useFetcher<Answer>()
  const answer = fetcher.data
  const back = `/s/${params.shop}/decide/${params.review}`
  const sku = view.productSku
  const name = view.version.authorName || say('correct.someone')
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto px-4 py-6 lg:px-6">
      <title>{`${say('correct.title')} · Elogio`}</title>
      <div className="max-w-form">
        <h1>{say('correct.title')}</h1>
        <p className="mt-1 text-soft">{say('correct.lead')}</p>
        {view.requested && <p className="mt-3 text-ochre">{say('correct.requested')}</p>}
        {view.confirmed && (
          <section className="mt-4 rounded-lg bg-wash px-4 py-3">
            <p className="text-soft">{say('correct.locked', { name })}</p>
            <div className="customer-words mt-2 text-[17px] break-words whitespace-pre-line" dir="auto">
              {view.version.title && <p className="font-semibold">{view.version.title}</p>}
              <p>{view.version.body}</p>
            </div>
          </section>
        )}
        <fetcher.Form
          method="post"
          encType="multipart/form-data"
          className="panel mt-4 px-5 py-5"
          key={view.review.publicId}
        >
          <input type="hidden" name="revision" value={view.review.revision} />
          <EntryFields
            values={valuesOf(view, sku)}
            products={products}
            tags={tags}
            today={today}
            errors={answer && 'errors' in answer ? answer.errors : {}}
            locked={view.confirmed}
            kept={view.evidence.map((file) => ({
              ...file,
              address: `${back}/evidence/${file.publicId}`,
            }))}
          />
          <Problem text={answer && 'problem' in answer ? answer.problem : null} />
          <div className="mt-5 flex flex-wrap items-center gap-x-4 gap-y-2">
            <button className="btn btn-primary">{say('correct.save')}</button>
            <Link to={back} className="btn btn-quiet">
              {say('correct.cancel')}
            </Link>
            {openStates.includes(view.review.state) && (
              <Checkbox name="waiting" label={say('write.waiting')} given={view.review.state === 'waiting'} />
            )}
          </div>
        </fetcher.Form>
      </div>
    </main>
  )
}
