import { data } from 'react-router'
import { z } from 'zod'
import { digestHourSchema, notificationPreferenceSchema } from '../../core/account/notificationPreference'
import { say } from '../../core/messages/say/setUp'
import { requireShop } from '../account/session'
import { orOffline } from '../offline'
import { formFields } from '../readForm'
import { Mails } from './Mails'
import type { Route } from './+types/email'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop, member } = await requireShop(request, context, params.shop)
  return { mails: await context.elogio.mailSettings(shop, member), email: member.email }
}

export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop, member } = await requireShop(request, context, params.shop)
  const fields = formFields(context)
  if (fields.intent === 'trial') {
    await context.elogio.tryMail(shop, member)
    return { done: 'trial' }
  }
  const telling = z
    .object({ preference: notificationPreferenceSchema, digestHour: digestHourSchema })
    .safeParse({ preference: fields.preference, digestHour: fields.digest_hour })
  if (!telling.success) throw data(null, { status: 400 })
  await context.elogio.saveTelling(shop, member, telling.data)
  return { done: 'telling' }
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline(serverAction)
}

/** Outgoing email and what the member is told. */
export default function Email({ loaderData }: Route.ComponentProps) {
  return (
    <div className="mt-6 max-w-form">
      <title>{`${say('settings.section.email')} · Elogio`}</title>
      <Mails {...loaderData} />
    </div>
  )
}
