import type { Route } from './+types/begun'

const MOST_LENGTH = 500

/** The page of a form tells that its writer has begun, with the token of the form. */
export async function action({ params, context }: Route.ActionArgs) {
  if ((await context.throttle.seen(context.clientAddress)) !== null)
    return new Response(null, { status: 429 })
  const found = await context.elogio.openForm(params.slug)
  const token = context.form?.get('token')
  if (found?.isOpen && typeof token === 'string' && token.length <= MOST_LENGTH)
    context.elogio.formVisits.begun(found, token)
  return new Response(null, { status: 204 })
}
