import { useState } from 'react'
import { Form } from 'react-router'
import { say } from '../../core/messages/say/setUp'
import { requireShop } from '../account/session'
import { NameFields, SiteFields } from './ProfileFields'
import { orOffline } from '../offline'
import { profileOf, saveProfile } from './profile'
import { SaveLine } from './SaveLine'
import { useProfileAnswer } from './useProfileAnswer'
import type { Route } from './+types/shopSettings'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'settings')
  return { values: profileOf(shop) }
}

export function action({ request, context, params }: Route.ActionArgs) {
  return saveProfile(request, context, params.shop)
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline(serverAction)
}

/** Its name, logo, site and domains. */
export default function ShopSettings({ loaderData, actionData }: Route.ComponentProps) {
  const [values, setValues] = useState(loaderData.values)
  const { errors, saved, problem } = useProfileAnswer(actionData)
  return (
    <div className="mt-6 max-w-form">
      <title>{`${say('settings.section.shop')} · Elogio`}</title>
      <Form method="post" className="panel flex flex-col gap-5 px-5 py-5">
        <NameFields values={values} change={setValues} errors={errors} />
        <SiteFields values={values} change={setValues} errors={errors} />
        <SaveLine saved={saved} problem={problem} />
      </Form>
    </div>
  )
}
