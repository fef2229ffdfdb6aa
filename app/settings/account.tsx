import { data, Form } from 'react-router'
import { z } from 'zod'
import { newPassword, PASSWORD_LEAST } from '../../core/account/shopProfile'
import { say } from '../../core/messages/say/setUp'
import { keepSession, requireShop } from '../account/session'
import { Field } from '../components/Field'
import { Problem } from '../components/Problem'
import { useLastAnswer } from '../components/useLastAnswer'
import { orOffline } from '../offline'
import { formFields } from '../readForm'
import { waitWords } from '../waitWords'
import type { ProfileErrors } from './ProfileFields'
import type { Route } from './+types/account'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { member } = await requireShop(request, context, params.shop)
  return { member: { name: member.name, email: member.email } }
}

interface Answer {
  done?: 'password'
  errors: ProfileErrors
}

export async function action({ request, context, params }: Route.ActionArgs) {
  const { member } = await requireShop(request, context, params.shop)
  const fields = formFields(context)
  const answer = (given: Answer, init: ResponseInit = {}) => data(given, init)
  // A signed-in member has a known device.
  const { clientAddress } = context
  const attempt = { clientAddress, email: member.email, device: `member ${member.id}` }
  const wait = await context.throttle.signIn(attempt)
  if (wait !== null) return answer({ errors: { present: [waitWords(wait)] } }, { status: 429 })
  const next = newPassword.safeParse(fields.password)
  if (!next.success)
    return answer({ errors: { password: next.error.issues.map((i) => i.message) } }, { status: 422 })
  const present = z.string().catch('').parse(fields.present)
  const token = await context.elogio.changePassword(member, present, next.data)
  if (!token) return answer({ errors: { present: [say('settings.wrongPassword')] } }, { status: 422 })
  await context.throttle.signedIn(attempt)
  return answer(
    { done: 'password', errors: {} },
    { headers: { 'Set-Cookie': await keepSession(context, token) } },
  )
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline(serverAction)
}

/** The member's own account. */
export default function Account({ loaderData, actionData }: Route.ComponentProps) {
  const last = useLastAnswer(actionData)
  const answer = last && 'errors' in last ? (last as Answer) : null
  return (
    <div className="mt-6 max-w-form">
      <title>{`${say('settings.section.account')} · Elogio`}</title>
      <Problem text={last && 'problem' in last ? last.problem : null} />
      <Password errors={answer?.errors ?? {}} done={answer?.done === 'password'} member={loaderData.member} />
    </div>
  )
}

function Password({
  errors,
  done,
  member,
}: {
  errors: ProfileErrors
  done: boolean
  member: { name: string; email: string }
}) {
  const input = 'input w-full border-edge text-[15px]'
  return (
    <Form method="post" className="panel flex flex-col gap-4 px-6 py-5" key={done ? 'changed' : 'as it was'}>
      <h2 className="text-[16px] font-semibold">{say('settings.you')}</h2>
      <p className="text-soft">
        {member.name}, {member.email}
      </p>
      <input type="hidden" name="username" autoComplete="username" value={member.email} readOnly />
      <Field name="present" label={say('settings.currentPassword')} errors={errors.present}>
        {(attributes) => (
          <input
            {...attributes}
            name="present"
            type="password"
            autoComplete="current-password"
            required
            className={input}
          />
        )}
      </Field>
      <Field
        name="password"
        label={say('settings.newPassword', { least: PASSWORD_LEAST })}
        errors={errors.password}
      >
        {(attributes) => (
          <input
            {...attributes}
            name="password"
            type="password"
            autoComplete="new-password"
            required
            className={input}
          />
        )}
      </Field>
      <p className="text-[13px] text-soft">{say('settings.passwordNote')}</p>
      <button className="btn btn-quiet self-start">{say('settings.change')}</button>
      <p role="status" className="font-semibold text-moss">
        {done && say('settings.passwordChanged')}
      </p>
    </Form>
  )
}
