import { refusalCode } from '../../core/intake/photos'
import { messageCode, translateCode } from '../../core/messages/code'
import { customerTranslate } from '../../core/messages/customers'
import { speechFor } from '../public/speechFor'
import { storageFaultIn } from '../storageProblem'
import type { Route } from './+types/photo'

/** Stores a photo before its form is sent. Answers with the key that the form refers to. */
export async function action({ params, request, context }: Route.ActionArgs) {
  const found = await context.elogio.openForm(params.slug)
  const refused = refusalIn(request, found?.shop)
  if (found?.form.state !== 'open' || found.design.photos.most === 0)
    return refused(404, messageCode('problem.notFound'))
  const wait = await context.throttle.photo(context.clientAddress)
  if (wait !== null) return refused(429, messageCode('photo.error.wait'), { 'Retry-After': String(wait) })
  try {
    const stored = await context.elogio.storePendingPhoto(
      found.form,
      Buffer.from(await request.arrayBuffer()),
    )
    if ('refused' in stored) return refused(422, refusalCode(stored.refused))
    return Response.json(stored, { status: 201 })
  } catch (error) {
    if (!storageFaultIn(error)) throw error
    return refused(503, messageCode('problem.notSaved'), { 'Retry-After': '60' })
  }
}

function refusalIn(request: Request, shop: Parameters<typeof speechFor>[1] | undefined) {
  const translate = customerTranslate(speechFor(request, shop).language)
  return (status: number, code: string, headers: Record<string, string> = {}) =>
    Response.json({ error: translateCode(translate, code) }, { status, headers })
}

export function loader({ request }: Route.LoaderArgs) {
  return refusalIn(request, undefined)(405, messageCode('problem.method'), { Allow: 'POST' })
}
