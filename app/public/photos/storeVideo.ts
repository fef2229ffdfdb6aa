import type { AppLoadContext } from 'react-router'
import { z } from 'zod'
import { limitKeyOf } from '../../../core/formats/ipAddress'
import { noRoomCode } from '../../../core/intake/photos'
import { messageCode } from '../../../core/messages/code'
import { videoRefusalCode } from '../../../core/video/video'
import type { CustomerForm } from '../../../server/collection/customerForm'
import { storageFaultIn } from '../../storageProblem'
import { FULL_S, photoRefusal } from './storePhoto'

const asked = z.object({
  key: z.string().regex(/^[a-z0-9]{1,40}$/),
  at: z.coerce.number().int().min(0),
  whole: z.coerce.number().int().min(1),
})

/** Stores a piece of a video. Answers how much is there, or that it is whole. */
export async function storeVideo(
  found: CustomerForm | null,
  { request, context }: { request: Request; context: AppLoadContext },
): Promise<Response> {
  const refused = photoRefusal(request, found?.shop)
  const piece = asked.safeParse(Object.fromEntries(new URL(request.url).searchParams))
  if (!found?.isOpen || !found.design.video.shown || !piece.success)
    return refused(404, messageCode('problem.notFound'))
  const wait = await context.throttle.videoPiece(context.clientAddress)
  if (wait !== null) return refused(429, messageCode('photo.error.wait'), { 'Retry-After': String(wait) })
  try {
    const bytes = new Uint8Array(await request.arrayBuffer())
    const stored = await context.elogio.storeVideoPiece(
      found.form,
      { ...piece.data, bytes },
      limitKeyOf(context.clientAddress),
    )
    if ('missing' in stored) return refused(404, messageCode('photo.error.gone'))
    if ('full' in stored) return refused(429, noRoomCode(stored.full), { 'Retry-After': String(FULL_S) })
    if ('refused' in stored) return refused(422, videoRefusalCode(stored.refused))
    return Response.json(stored, { status: 'video' in stored ? 201 : 202 })
  } catch (error) {
    if (!storageFaultIn(error)) throw error
    return refused(503, messageCode('problem.notSaved'), { 'Retry-After': '60' })
  }
}
