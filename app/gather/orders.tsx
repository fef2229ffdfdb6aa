import { useEffect, useRef } from 'react'
import { writerName } from '../../core/messages/writerName'
import { data, Link, useFetcher } from 'react-router'
import { z } from 'zod'
import { translateCode } from '../../core/messages/code'
import { say } from '../../core/messages/say/gather'
import type { OrderReport } from '../../server/proof/orderImport'
import { requireShop } from '../account/session'
import { JobProgress } from '../components/JobProgress'
import { useLookAgain } from '../components/useLookAgain'
import { useLastAnswer } from '../components/useLastAnswer'
import { orOffline } from '../offline'
import { useUpload } from './useUpload'
import type { Route } from './+types/orders'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'imports')
  return context.elogio.ordersView(shop)
}

const uploaded = z.object({ upload: z.string().regex(/^[a-z0-9]{8,40}$/), name: z.string().max(200) })

/** Imports a file that was uploaded in chunks, or with this request if no script ran. */
export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'imports')
  const sent = uploaded.safeParse(Object.fromEntries(context.form ?? []))
  if (sent.success) {
    await context.elogio.importUploadedOrders(shop, sent.data.upload, sent.data.name)
    return { problem: null }
  }
  const file = context.form?.get('file')
  if (!(file instanceof File) || file.size === 0)
    return data({ problem: say('bringOrders.noFile') }, { status: 422 })
  const bytes = new Uint8Array(await file.arrayBuffer())
  await context.elogio.importOrderFile(shop, { name: file.name, bytes })
  return { problem: null }
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline(serverAction)
}

export default function Orders({ loaderData, actionData, params }: Route.ComponentProps) {
  const fetcher = useFetcher<typeof action>()
  const upload = useUpload(`/s/${params.shop}/gather/orders/piece`)
  const chosen = useRef<HTMLInputElement>(null)
  const { latest } = loaderData
  const works = latest !== null && (latest.state === 'due' || latest.state === 'running')
  const isBusy = upload.share !== null || fetcher.state !== 'idle'
  useLookAgain(works)
  const answer = useLastAnswer(actionData)
  const problem = upload.problem ?? (fetcher.data ?? answer)?.problem
  useEffect(() => {
    if (fetcher.data && !fetcher.data.problem && chosen.current) chosen.current.value = ''
  }, [fetcher.data])

  async function send(event: React.FormEvent): Promise<void> {
    const file = chosen.current?.files?.[0]
    if (!file) return
    event.preventDefault()
    const name = await upload.send(file)
    if (name !== null)
      await fetcher.submit({ upload: name, name: file.name.slice(0, 200) }, { method: 'post' })
  }

  return (
    <main className="min-h-0 flex-1 overflow-y-auto px-4 py-6 lg:px-6">
      <title>{`${say('bringOrders.title')} · Elogio`}</title>
      <p>
        <Link to={`/s/${params.shop}/gather`} className="part">
          {say('bringOrders.back')}
        </Link>
      </p>
      <h1 className="mt-2">{say('bringOrders.have', { count: loaderData.count })}</h1>
      <p className="mt-1 max-w-text text-soft">{say('bringOrders.why')}</p>
      <fetcher.Form
        method="post"
        encType="multipart/form-data"
        className="panel mt-5 flex max-w-form flex-col gap-3 px-5 py-4"
        onSubmit={(event) => void send(event)}
      >
        <label className="font-semibold" htmlFor="file">
          {say('bringOrders.file')}
        </label>
        <input
          ref={chosen}
          id="file"
          name="file"
          type="file"
          accept=".csv,.tsv,.txt,text/csv"
          className="file-input w-full border-edge"
        />
        <p className="text-[13px] text-soft">{say('bringOrders.columns')}</p>
        <div className="flex items-center gap-4">
          <button className="btn btn-primary" disabled={isBusy}>
            {say('bringOrders.bring')}
          </button>
          <span role="status">
            {upload.share === null
              ? ''
              : say('bringOrders.sending', { percent: Math.floor(100 * upload.share) })}
          </span>
        </div>
      </fetcher.Form>
      {problem && (
        <p role="alert" className="mt-4 max-w-form font-semibold text-plum">
          {problem}
        </p>
      )}
      {latest && <Latest latest={latest} shop={params.shop} />}
    </main>
  )
}

function Latest({
  latest,
  shop,
}: {
  latest: NonNullable<Route.ComponentProps['loaderData']['latest']>
  shop: string
}) {
  const { state, error, name, report } = latest
  const works = state === 'due' || state === 'running'
  if (!works && state !== 'failed')
    return <Report report={report} name={name} shop={shop} isWhole={state === 'done'} />
  return (
    <section className="panel mt-5 max-w-form px-5 py-4" aria-labelledby="report">
      <h2 id="report" className="text-[16px] font-semibold">
        {say('bringOrders.importing', { name })}
      </h2>
      <div className="mt-2">
        {works ? (
          <JobProgress
            job={latest}
            shop={shop}
            label={say('bringOrders.importing', { name })}
            keeps={say('jobs.keeps.importOrders')}
          />
        ) : (
          <p role="alert" className="font-semibold text-plum">
            {error && translateCode(say, error)}
          </p>
        )}
      </div>
      {works && <p className="mt-2 text-[13px] text-soft">{say('bringOrders.leave')}</p>}
    </section>
  )
}

/** The imported orders, the changed verifications, and the skipped rows with their reasons. */
function Report({
  report,
  name,
  shop,
  isWhole,
}: {
  report: OrderReport
  name: string
  shop: string
  /** False if it was cancelled. */
  isWhole: boolean
}) {
  const { changes, problems } = report
  return (
    <section role="status" className="panel mt-5 max-w-form px-5 py-4" aria-labelledby="report">
      <h2 id="report" className="text-[16px] font-semibold">
        {say('bringOrders.taken', { count: report.rows })}
      </h2>
      <p className="text-[13px] break-words text-soft">
        {name}
        {!isWhole && ` · ${say('jobs.cancelled')}`}
      </p>
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
          : say('bringOrders.changes', { count: report.changeCount })}
      </p>
      <ul className="mt-1 flex flex-col gap-1">
        {changes.map(({ publicId, authorName, verified, why }) => (
          <li key={publicId}>
            <Link to={`/s/${shop}/decide/${publicId}`} className="part">
              {writerName(authorName)}
            </Link>{' '}
            <span className={verified ? 'text-moss' : 'text-ochre'}>
              {say(verified ? 'bringOrders.proven' : 'bringOrders.unproven', {
                why: translateCode(say, why),
              })}
            </span>
          </li>
        ))}
      </ul>
      {problems.length > 0 && (
        <>
          <h3 className="mt-4 font-semibold text-ochre">
            {say('bringOrders.leftOut', { count: report.problemCount })}
          </h3>
          <ul className="mt-1 flex max-h-72 flex-col gap-1 overflow-y-auto">
            {problems.map(({ row, field, reason }) => (
              <li key={`${row} ${field}`}>
                {say('bringOrders.row', {
                  row,
                  field,
                  reason: translateCode(say, reason),
                })}
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  )
}
