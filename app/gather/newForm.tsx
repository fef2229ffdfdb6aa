import { Form, redirect } from 'react-router'
import { z } from 'zod'
import { startingForms } from '../../core/form/startingForms'
import { say } from '../../core/messages/say/forms'
import { requireShop } from '../account/session'
import { readForm } from '../readForm'
import { BackLink } from './BackLink'
import type { Route } from './+types/newForm'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  await requireShop(request, context, params.shop, 'settings')
  return null
}

export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'settings')
  const { start } = readForm(context, z.object({ start: z.enum(startingForms) }))
  return redirect(`/s/${params.shop}/gather/forms/${await context.elogio.beginForm(shop, start)}`)
}

export default function NewForm({ params }: Route.ComponentProps) {
  return (
    <main className="px-6 py-6">
      <title>{`${say('gather.newForm')} · Elogio`}</title>
      <BackLink shop={params.shop} />
      <h1 className="mt-2">{say('forms.chooseStart')}</h1>
      <Form method="post" className="mt-4 grid max-w-page gap-4 sm:grid-cols-3">
        {startingForms.map((start) => (
          <button
            key={start}
            name="start"
            value={start}
            className="panel flex min-h-28 flex-col items-start gap-1 p-5 text-left hover:bg-wash"
          >
            <b className="text-[16px]">{say(`forms.start.${start}.name`)}</b>
            <span className="text-soft">{say(`forms.start.${start}.hint`)}</span>
          </button>
        ))}
      </Form>
    </main>
  )
}
