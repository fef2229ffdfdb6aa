import { Form, redirect } from 'react-router'
import { say } from '../../core/messages/say/frame'
import { requireMember } from './session'
import type { Route } from './+types/home'

export async function loader({ request, context }: Route.LoaderArgs) {
  if (await context.elogio.isEmpty()) throw redirect('/begin')
  const { shops } = await requireMember(request, context)
  if (shops[0]) throw redirect(`/s/${shops[0].slug}/gather`)
  return null
}

export default function NoShop() {
  return (
    <main className="mx-auto flex min-h-dvh max-w-md flex-col justify-center gap-4 p-6">
      <title>Elogio</title>
      <h1>{say('account.noShop')}</h1>
      <Form method="post" action="/sign-out">
        <button className="btn btn-quiet">{say('account.signOut')}</button>
      </Form>
    </main>
  )
}
