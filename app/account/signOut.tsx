import { redirect } from 'react-router'
import { dropSession, sessionToken } from './session'
import type { Route } from './+types/signOut'

export async function action({ request, context }: Route.ActionArgs) {
  const token = await sessionToken(request, context)
  if (token) await context.elogio.signOut(token)
  return redirect('/sign-in', { headers: { 'Set-Cookie': await dropSession(context) } })
}

export function loader() {
  return redirect('/')
}
