import { parseWithZod } from '@conform-to/zod/v4'
import { submissionFieldNames, submissionFields, submissionSchema } from '../../core/intake/submission'
import { say } from '../../core/words/say'
import { onlyFields } from '../readForm'
import { takePhotos } from '../public/photos/takePhotos'
import { storageFaultIn } from '../storageProblem'
import { waitWords } from '../waitWords'
import type { Route } from './+types/form'

/** The JSON side of a form's address. */
export async function loader({ params, context }: Route.LoaderArgs) {
  const found = await context.elogio.openForm(params.slug)
  if (!found?.form.open) return Response.json({ error: say('error.notFound') }, { status: 404 })
  const products = found.products.map(({ sku, title }) => ({ sku, title }))
  return Response.json(
    {
      ...(await context.elogio.handOut(
        found,
        await context.throttle.suspicion(context.clientAddress, params.slug),
      )),
      fields: submissionFields.map((field) =>
        field.name === 'product' ? { ...field, options: products } : field,
      ),
    },
    { headers: { 'Cache-Control': 'no-store' } },
  )
}

export async function action({ params, context }: Route.ActionArgs) {
  const found = await context.elogio.openForm(params.slug)
  if (!found?.form.open) return Response.json({ error: say('error.notFound') }, { status: 404 })
  const { throttle, clientAddress } = context
  const suspicion = await throttle.suspicion(clientAddress, params.slug)
  const wait = await throttle.submit(clientAddress, params.slug)
  if (wait !== null)
    return Response.json(
      { error: waitWords(wait) },
      { status: 429, headers: { 'Retry-After': String(wait) } },
    )
  const { form, problems } = await takePhotos(onlyFields(context, submissionFieldNames), context, found.form)
  const submission = parseWithZod(form, { schema: submissionSchema(found.products.map(({ sku }) => sku)) })
  if (submission.status !== 'success' || problems.length > 0)
    return unfit({
      ...(submission.status !== 'success' && submission.error),
      ...(problems.length > 0 && { media: problems }),
    })
  if (await context.elogio.lacksPhotos(found, submission.value))
    return unfit({ media: [say('photo.error.gone')] })
  try {
    const { publicId, state, confirm } = await context.elogio.submitForm(found, submission.value, {
      ip: clientAddress,
      suspicion,
    })
    return Response.json({ id: publicId, state, confirm }, { status: 201 })
  } catch (error) {
    if (!storageFaultIn(error)) throw error
    const headers = { 'Retry-After': '60' }
    return Response.json({ error: say('error.storage.customer') }, { status: 503, headers })
  }
}

const unfit = (errors: object) => Response.json({ errors }, { status: 422 })
