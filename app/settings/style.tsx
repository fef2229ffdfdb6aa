import { useState } from 'react'
import { Form } from 'react-router'
import { say } from '../../core/messages/say/setUp'
import { requireShop } from '../account/session'
import { ShopPreview } from '../components/ShopPreview'
import { ColourFields, FontFields } from './ProfileFields'
import { orOffline } from '../offline'
import { profileOf, saveProfile } from './profile'
import { SaveLine } from './SaveLine'
import { useProfileAnswer } from './useProfileAnswer'
import type { Route } from './+types/style'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'settings')
  return { values: profileOf(shop), html: context.elogio.samplePreview(shop) }
}

export function action({ request, context, params }: Route.ActionArgs) {
  return saveProfile(request, context, params.shop)
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline(serverAction)
}

/** Colours, font and corners, with a preview. */
export default function Style({ loaderData, actionData }: Route.ComponentProps) {
  const [values, setValues] = useState(loaderData.values)
  const { errors, saved, problem } = useProfileAnswer(actionData)
  return (
    <div className="mt-6 grid items-start gap-6 lg:grid-cols-[minmax(0,680px)_minmax(0,440px)]">
      <title>{`${say('settings.section.style')} · Elogio`}</title>
      <Form method="post" className="panel flex flex-col gap-5 px-5 py-5">
        <ColourFields values={values} change={setValues} errors={errors} candidates={[]} />
        <FontFields values={values} change={setValues} errors={errors} />
        <SaveLine saved={saved} problem={problem} />
      </Form>
      <section aria-labelledby="look" className="overflow-hidden rounded-[14px] border border-line">
        <h2 id="look" className="border-b border-line bg-paper px-6 py-3 font-semibold">
          {say('settings.look')}
        </h2>
        <ShopPreview html={loaderData.html} style={values} />
      </section>
    </div>
  )
}
