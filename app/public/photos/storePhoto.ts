import type { AppLoadContext } from 'react-router'
import { limitKeyOf } from '../../../core/formats/ipAddress'
import { noRoomCode, refusalCode } from '../../../core/intake/photos'
import { messageCode, translateCode } from '../../../core/messages/code'
import { customerTranslate } from '../../../core/messages/customers'
import type { CustomerForm } from '../../../server/collection/customerForm'
import { storageFaultIn } from '../../storageProblem'
import { speechFor } from '../speechFor'

/** Unsent ones are deleted every hour. */
export const FULL_S = 3600

/** Stores the photo that a request carries. Answers with the key that the form refers to. */
export async function storePhoto(
  found: CustomerForm | null,
  { request, context }: { request: Request; context: AppLoadContext },
): Promise<Response> {
  const refused = photoRefusal(request, found?.shop)
  if (!found?.isOpen || found.design.photos.most === 0) return refused(404, messageCode('problem.notFound'))
  const wait = await context.throttle.photo(context.clientAddress)
  if (wait !== null) return refused(429, messageCode('photo.error.wait'), { 'Retry-After': String(wait) })
  try {
    const stored = await context.elogio.storePendingPhoto(
      found.form,
      Buffer.from(await request.arrayBuffer()),
      limitKeyOf(context.clientAddress),
    )
    if ('full' in stored) return refused(429, noRoomCode(stored.full), { 'Retry-After': String(FULL_S) })
    if ('refused' in stored) return refused(422, refusalCode(stored.refused))
    return Response.json(stored, { status: 201 })
  } catch (error) {
    if (!storageFaultIn(error)) throw error
    return refused(503, messageCode('problem.notSaved'), { 'Retry-After': '60' })
  }
}

export function photoRefusal(request: Request, shop?: Parameters<typeof speechFor>[1]) {
  const translate = customerTranslate(speechFor(request, shop).language)
  return (status: number, code: string, headers: Record<string, string> = {}) =>
    Response.json({ error: translateCode(translate, code) }, { status, headers })
}
