import { useState } from 'react'
import { Form } from 'react-router'
import { customerLanguages } from '../../core/messages/customers/languages'
import { say } from '../../core/messages/say/setUp'
import { requireShop } from '../account/session'
import { CustomerLanguages } from './CustomerLanguages'
import { LocaleFields, ReadLanguages } from './LocaleFields'
import { orOffline } from '../offline'
import { profileOf, saveProfile } from './profile'
import { SaveLine } from './SaveLine'
import { useProfileAnswer } from './useProfileAnswer'
import type { Route } from './+types/languages'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'settings')
  return {
    values: profileOf(shop),
    timeZones: Intl.supportedValuesOf('timeZone'),
    customerLanguages: { chosen: shop.customerLanguages, all: customerLanguages },
  }
}

export function action({ request, context, params }: Route.ActionArgs) {
  return saveProfile(request, context, params.shop)
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline(serverAction)
}

/** The languages of the shop, its customers and its members, and its time zone. */
export default function Languages({ loaderData, actionData }: Route.ComponentProps) {
  const [values, setValues] = useState(loaderData.values)
  const { errors, saved, problem } = useProfileAnswer(actionData)
  return (
    <div className="mt-6 max-w-form">
      <title>{`${say('settings.section.languages')} · Elogio`}</title>
      <Form method="post" className="panel flex flex-col gap-5 px-5 py-5">
        <LocaleFields values={values} change={setValues} errors={errors} timeZones={loaderData.timeZones} />
        <CustomerLanguages {...loaderData.customerLanguages} />
        <ReadLanguages chosen={values.languages} errors={errors} />
        <SaveLine saved={saved} problem={problem} />
      </Form>
    </div>
  )
}
