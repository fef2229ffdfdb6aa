import { data, Link, useFetcher } from 'react-router'
import { z } from 'zod'
import { spokenMoment } from '../../core/formats/dates'
import type { jobWords } from '../../core/messages/en/jobs'
import { translateCode } from '../../core/messages/code'
import { say as sayAnything } from '../../core/messages/say/everything'
import { say } from '../../core/messages/say/setUp'
import type { JobLine } from '../../server/data/jobs'
import { requireShop } from '../account/session'
import { JobProgress } from '../components/JobProgress'
import { useLookAgain } from '../components/useLookAgain'
import { orOffline } from '../offline'
import { readForm } from '../readForm'
import type { Route } from './+types/jobs'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'settings')
  const { locale, timeZone } = shop
  // An error can come from any kind of job, so its code can belong to texts of other pages.
  const jobs = (await context.elogio.jobsView(shop)).map((job) => ({
    ...job,
    error: job.error && translateCode(sayAnything, job.error),
  }))
  return { jobs, now: context.elogio.now(), locale, timeZone }
}

const asked = z.object({ intent: z.enum(['cancel', 'again']), id: z.coerce.number().int() })

export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'settings')
  const { intent, id } = readForm(context, asked)
  const done = await (intent === 'cancel' ? context.elogio.cancelJob : context.elogio.retryJob)(shop, id)
  // The job can have ended meanwhile; the page then shows its result.
  return data({ done })
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline(serverAction)
}

const isOpen = ({ state }: JobLine) => state === 'running' || state === 'due'

export default function Jobs({ loaderData, params }: Route.ComponentProps) {
  const { jobs } = loaderData
  useLookAgain(jobs.some(isOpen))
  const groups = [
    { title: say('jobs.running'), list: jobs.filter((job) => isOpen(job) && job.error === null) },
    {
      title: say('jobs.failed'),
      list: jobs.filter((job) => job.state === 'failed' || (isOpen(job) && job.error !== null)),
    },
    { title: say('jobs.ended'), list: jobs.filter(({ state }) => state === 'done' || state === 'cancelled') },
  ].filter(({ list }) => list.length > 0)
  return (
    <div className="mt-6">
      <title>{`${say('jobs.title')} · Elogio`}</title>
      <p className="mt-1 max-w-text text-soft">{say('jobs.why')}</p>
      {groups.length === 0 && <p className="panel mt-5 max-w-form px-5 py-4">{say('jobs.none')}</p>}
      {groups.map(({ title, list }) => (
        <section key={title} className="panel mt-5 max-w-form px-5 py-4" aria-label={title}>
          <h2 className="text-[16px] font-semibold">{title}</h2>
          <ul className="mt-1">
            {list.map((job) => (
              <li key={job.id} className="border-b border-line py-3 last:border-0">
                <OneJob
                  job={job}
                  shop={params.shop}
                  when={spokenMoment(job.endedAt ?? job.createdAt, {
                    ...loaderData,
                    today: say('today'),
                  })}
                />
              </li>
            ))}
          </ul>
        </section>
      ))}
    </div>
  )
}

const named = (kind: string) => say(`jobs.kind.${kind as keyof typeof jobWords.jobs.kind}`)

function OneJob({ job, shop, when }: { job: JobLine; shop: string; when: string }) {
  const fetcher = useFetcher()
  const keeps = job.kind === 'importOrders' ? say('jobs.keeps.importOrders') : null
  const ended = job.state === 'done' ? say('jobs.done') : say('jobs.cancelled')
  return (
    <>
      <p className="flex flex-wrap items-baseline gap-x-3">
        <span className="font-semibold">
          {job.kind === 'importOrders' ? (
            <Link to={`/s/${shop}/gather/orders`} className="part">
              {named(job.kind)}
            </Link>
          ) : (
            named(job.kind)
          )}
        </span>
        <span className="text-[13px] text-soft">
          {isOpen(job) || job.state === 'failed' ? when : `${ended}, ${when}`}
        </span>
      </p>
      {isOpen(job) && job.error === null && (
        <JobProgress job={job} shop={shop} label={named(job.kind)} keeps={keeps} />
      )}
      {isOpen(job) && job.error !== null && (
        <p className="text-ochre">{say('jobs.triedAgain', { count: job.attempts, error: job.error })}</p>
      )}
      {job.state === 'failed' && (
        <p className="text-plum">{say('jobs.gaveUp', { error: job.error ?? '' })}</p>
      )}
      {(job.state === 'failed' || job.state === 'cancelled') && job.shopId !== null && (
        <fetcher.Form method="post" className="mt-2">
          <input type="hidden" name="id" value={job.id} />
          <button name="intent" value="again" className="btn btn-quiet" disabled={fetcher.state !== 'idle'}>
            {say(job.state === 'failed' ? 'jobs.again' : 'jobs.goOn')}
          </button>
        </fetcher.Form>
      )}
    </>
  )
}
