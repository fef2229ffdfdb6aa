import { refusalWords } from '../../core/intake/photos'
import { say } from '../../core/words/say'
import { storageFaultIn } from '../storageProblem'
import type { Route } from './+types/photo'

/** Takes one photo ahead of its form; answers the key by which the form refers to it. */
export async function action({ params, request, context }: Route.ActionArgs) {
  const found = await context.elogio.openForm(params.slug)
  if (!found?.form.open) return refused(404, say('error.notFound'))
  const wait = await context.throttle.photo(context.clientAddress)
  if (wait !== null) return refused(429, say('photo.error.wait'), { 'Retry-After': String(wait) })
  try {
    const staged = await context.elogio.stagePhoto(found.form, Buffer.from(await request.arrayBuffer()))
    if ('refused' in staged) return refused(422, refusalWords(staged.refused))
    return Response.json(staged, { status: 201 })
  } catch (error) {
    if (!storageFaultIn(error)) throw error
    return refused(503, say('error.storage.customer'), { 'Retry-After': '60' })
  }
}

const refused = (status: number, error: string, headers: Record<string, string> = {}) =>
  Response.json({ error }, { status, headers })

export function loader() {
  return refused(405, say('error.wrongType'), { Allow: 'POST' })
}
