import { CircleAlert, CircleCheck } from 'lucide-react'
import { Link } from 'react-router'
import { translateCode } from '../../core/messages/code'
import { say } from '../../core/messages/say/problems'
import { requireShop } from '../account/session'
import type { Route } from './+types/problems'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'settings')
  return { checks: await context.elogio.checks(shop) }
}

/** What is wrong, with what to do about it, before what is right. */
export default function Problems({ loaderData, params }: Route.ComponentProps) {
  const { checks } = loaderData
  const count = checks.filter(({ state }) => state === 'wrong').length
  return (
    <div className="mt-6 max-w-form">
      <title>{`${say('problems.title')} · Elogio`}</title>
      <h2 className="text-[20px] font-semibold">
        {count === 0 ? say('problems.none') : say('problems.some', { count })}
      </h2>
      <p className="mt-1 text-soft">{say('problems.why')}</p>
      <ul className="panel mt-5 px-5 py-1">
        {checks.map(({ about, state, text, link }) => (
          <li key={about} className="flex gap-x-3 border-b border-line py-3 last:border-0">
            {state === 'wrong' ? (
              <CircleAlert className="mt-0.5 size-5 shrink-0 text-plum" aria-label={say('problems.wrong')} />
            ) : (
              <CircleCheck className="mt-0.5 size-5 shrink-0 text-soft" aria-label={say('problems.good')} />
            )}
            <div className="min-w-0">
              <h3 className="font-semibold">{say(`problems.about.${about}`)}</h3>
              <p className={state === 'wrong' ? '' : 'text-soft'}>{translateCode(say, text)}</p>
              {state === 'wrong' && link && (
                <Link to={`/s/${params.shop}/${link}`} className="part mt-1 inline-block">
                  {say('problems.mend')}
                </Link>
              )}
            </div>
          </li>
        ))}
      </ul>
    </div>
  )
}
