import { data, Link, useFetcher } from 'react-router'
import { z } from 'zod'
import { spokenMoment } from '../../core/formats/dates'
import { say } from '../../core/messages/say/setUp'
import type { LessonLine } from '../../server/data/lessons'
import { requireShop } from '../account/session'
import { queuePath } from '../decide/address'
import { orOffline } from '../offline'
import { readForm } from '../readForm'
import type { Route } from './+types/learning'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'settings')
  const { locale, timeZone } = shop
  return { ...(await context.elogio.lessonsView(shop)), now: context.elogio.now(), locale, timeZone }
}

const asked = z.discriminatedUnion('intent', [
  z.object({ intent: z.literal('one'), review: z.string() }),
  z.object({ intent: z.literal('sender'), review: z.string() }),
  z.object({ intent: z.literal('all') }),
  z.object({ intent: z.literal('again'), review: z.string() }),
  z.object({ intent: z.literal('allAgain') }),
])

export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'settings')
  const { unteach, teachAgain } = context.elogio
  const form = readForm(context, asked)
  if (form.intent === 'allAgain') await teachAgain(shop, 'all')
  else if (form.intent === 'again') await teachAgain(shop, { review: form.review })
  else await unteach(shop, form.intent === 'all' ? 'all' : { review: form.review, whose: form.intent })
  return data(null)
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline(serverAction)
}

export default function Learning({ loaderData, params }: Route.ComponentProps) {
  const { taught, untaught, count } = loaderData
  const row = { shop: params.shop, ...loaderData }
  return (
    <div className="mt-6 max-w-form">
      <title>{`${say('learning.title')} · Elogio`}</title>
      <p className="max-w-text text-soft">{say('learning.why')}</p>
      {taught.length === 0 && <p className="panel mt-5 px-5 py-4">{say('learning.none')}</p>}
      {(['spam', 'honest'] as const).map((verdict) => {
        const own = taught.filter((lesson) => lesson.verdict === verdict)
        return (
          own.length > 0 && (
            <Lessons key={verdict} title={say(`learning.${verdict}`)}>
              {own.map((lesson) => (
                <Lesson key={lesson.publicId} {...row} lesson={lesson}>
                  <Act intent="one" review={lesson.publicId} words={say('learning.forget')} />
                  {lesson.ofSender > 1 && (
                    <Act
                      intent="sender"
                      review={lesson.publicId}
                      words={say('learning.forgetSender', { count: lesson.ofSender })}
                    />
                  )}
                </Lesson>
              ))}
            </Lessons>
          )
        )
      })}
      {taught.length > 0 && (
        <p className="mt-4">
          {count > taught.length && `${say('learning.earlier', { count, shown: taught.length })} `}
          <Act intent="all" words={say('learning.forgetAll')} />
        </p>
      )}
      {untaught.length > 0 && (
        <Lessons title={say('learning.away')}>
          {untaught.map((lesson) => (
            <Lesson key={lesson.publicId} {...row} lesson={lesson}>
              <Act intent="again" review={lesson.publicId} words={say('learning.again')} />
            </Lesson>
          ))}
          {untaught.length > 1 && (
            <li className="pt-3">
              <Act intent="allAgain" words={say('learning.allAgain')} />
            </li>
          )}
        </Lessons>
      )}
    </div>
  )
}

function Lessons({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <section className="panel mt-5 px-5 py-4" aria-label={title}>
      <h2 className="text-[16px] font-semibold">{title}</h2>
      <ul className="mt-1">{children}</ul>
    </section>
  )
}

function Lesson({
  shop,
  lesson,
  now,
  locale,
  timeZone,
  children,
}: {
  shop: string
  lesson: LessonLine
  now: string
  locale: string
  timeZone: string
  children: React.ReactNode
}) {
  const { publicId, authorName, title, body, receivedAt } = lesson
  const state = lesson.state === 'undone' ? null : lesson.state
  return (
    <li className="border-b border-line py-3 last:border-0">
      <p className="flex flex-wrap items-baseline gap-x-3">
        <Link to={queuePath(shop, publicId, { lane: state ?? 'waiting' })} className="part font-semibold">
          {authorName}
        </Link>
        <span className="text-[13px] text-soft">
          {spokenMoment(receivedAt, { now, locale, timeZone, today: say('today') })}
        </span>
      </p>
      <p className="customer-words line-clamp-2 text-[15px]" dir="auto">
        {[title, body].filter(Boolean).join('. ')}
      </p>
      <p className="mt-1 flex flex-wrap gap-x-4">{children}</p>
    </li>
  )
}

function Act({ intent, review, words }: { intent: string; review?: string; words: string }) {
  const fetcher = useFetcher()
  return (
    <fetcher.Form method="post" className="inline">
      {review && <input type="hidden" name="review" value={review} />}
      <button name="intent" value={intent} className="part" disabled={fetcher.state !== 'idle'}>
        {words}
      </button>
    </fetcher.Form>
  )
}
