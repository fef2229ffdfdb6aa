import { data, Link, useFetcher } from 'react-router'
import { say } from '../../core/words/say'
import { requireShop } from '../account/session'
import { orOffline } from '../offline'
import type { OrdersReport } from '../../server/proof/bringOrders'
import type { Route } from './+types/orders'

/** Larger files come in by parts. */
const MOST_BYTES = 20_000_000

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop)
  return context.elogio.ordersView(shop)
}

export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop } = await requireShop(request, context, params.shop)
  const refused = (problem: string) => data({ problem, report: null }, { status: 422 })
  if (Number(request.headers.get('Content-Length') ?? 0) > MOST_BYTES)
    return refused(say('bringOrders.tooLarge', { megabytes: MOST_BYTES / 1e6 }))
  const file = context.form?.get('file')
  if (!(file instanceof File) || file.size === 0) return refused(say('bringOrders.noFile'))
  const outcome = await context.elogio.bringOrders(shop, new Uint8Array(await file.arrayBuffer()))
  return outcome.outcome === 'taken' ? { problem: null, report: outcome.report } : refused(outcome.why)
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline(serverAction)
}

export default function Orders({ loaderData, actionData, params }: Route.ComponentProps) {
  // A fetcher keeps its answer when the page is read anew, which what has just come in makes it.
  const fetcher = useFetcher<typeof action>()
  const busy = fetcher.state !== 'idle'
  const answer = fetcher.data ?? actionData
  return (
    <main className="min-h-0 flex-1 overflow-y-auto px-4 py-6 lg:px-6">
      <title>{`${say('bringOrders.title')} · Elogio`}</title>
      <p>
        <Link to={`/s/${params.shop}/gather`} className="part">
          {say('bringOrders.back')}
        </Link>
      </p>
      <h1 className="mt-2">{say('bringOrders.have', { count: loaderData.count })}</h1>
      <p className="mt-1 max-w-[62ch] text-soft">{say('bringOrders.why')}</p>
      <fetcher.Form
        method="post"
        encType="multipart/form-data"
        className="panel mt-5 flex max-w-[760px] flex-col gap-3 px-5 py-4"
      >
        <label className="font-semibold" htmlFor="file">
          {say('bringOrders.file')}
        </label>
        <input
          id="file"
          name="file"
          type="file"
          accept=".csv,.tsv,.txt,text/csv"
          className="file-input w-full border-edge"
        />
        <p className="text-[13px] text-soft">{say('bringOrders.columns')}</p>
        <div className="flex items-center gap-4">
          <button className="btn btn-primary" disabled={busy}>
            {say('bringOrders.bring')}
          </button>
          <span role="status">{busy ? say('bringOrders.working') : ''}</span>
        </div>
      </fetcher.Form>
      {answer?.problem && (
        <p role="alert" className="mt-4 max-w-[760px] font-semibold text-plum">
          {answer.problem}
        </p>
      )}
      {answer && 'report' in answer && answer.report && <Report report={answer.report} shop={params.shop} />}
    </main>
  )
}

/** What came in, what it proves now, and the rows that were left out, each with its reason. */
function Report({ report, shop }: { report: OrdersReport; shop: string }) {
  const { changes, problems } = report
  return (
    <section role="status" className="panel mt-5 max-w-[760px] px-5 py-4" aria-labelledby="report">
      <h2 id="report" className="text-[16px] font-semibold">
        {say('bringOrders.taken', { count: report.rows })}
      </h2>
      <p className="mt-1 text-soft">
        {say('bringOrders.detail', {
          orders: report.newOrders,
          lines: report.newLines,
          changed: report.changedLines,
          products: report.newProducts,
        })}
      </p>
      <p className="mt-3">
        {changes.length === 0
          ? say('bringOrders.noChange')
          : say('bringOrders.changes', { count: changes.length })}
      </p>
      <ul className="mt-1 flex flex-col gap-1">
        {changes.map(({ publicId, authorName, verified, why }) => (
          <li key={publicId}>
            <Link to={`/s/${shop}/decide/${publicId}`} className="part">
              {authorName}
            </Link>{' '}
            <span className={verified ? 'text-moss' : 'text-ochre'}>
              {say(verified ? 'bringOrders.proven' : 'bringOrders.unproven', { why })}
            </span>
          </li>
        ))}
      </ul>
      {problems.length > 0 && (
        <>
          <h3 className="mt-4 font-semibold text-ochre">
            {say('bringOrders.leftOut', { count: problems.length })}
          </h3>
          <ul className="mt-1 flex max-h-72 flex-col gap-1 overflow-y-auto">
            {problems.map(({ row, field, reason }) => (
              <li key={`${row} ${field}`}>{say('bringOrders.row', { row, field, reason })}</li>
            ))}
          </ul>
        </>
      )}
    </section>
  )
}
