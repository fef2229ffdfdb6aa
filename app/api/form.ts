import { parseWithZod } from '@conform-to/zod/v4'
import {
  submissionFields,
  submissionNames,
  submissionSchema,
  VERSION_FIELD,
} from '../../core/intake/submission'
import { messageCode, translateCode } from '../../core/messages/code'
import { customerTranslate } from '../../core/messages/customers'
import { onlyFields } from '../readForm'
import { acceptProduct, forCustomers } from '../public/formRequests'
import { speechFor } from '../public/speechFor'
import { takePhotos } from '../public/photos/takePhotos'
import { storageFaultIn } from '../storageProblem'
import { waitCode } from '../waitCode'
import type { Route } from './+types/form'

/** The JSON answers of a form's address. */
export async function loader({ params, request, context }: Route.LoaderArgs) {
  const found = await context.elogio.openForm(params.slug)
  const answers = answersTo(request, found?.shop)
  if (!found?.isOpen) return answers.refused(404, messageCode('problem.notFound'))
  const { products, isPart } = forCustomers(found.products)
  return Response.json(
    {
      ...(await context.elogio.issueChallenge(
        found,
        await context.throttle.suspicion(context.clientAddress, params.slug),
      )),
      [VERSION_FIELD]: found.form.version,
      fields: submissionFields(found.design, { buyersOnly: found.form.writers === 'buyers' }).map((field) =>
        field.name === 'product'
          ? { ...field, options: products, ...(isPart && { more: `/f/${params.slug}/products?q=` }) }
          : field,
      ),
    },
    { headers: { 'Cache-Control': 'no-store' } },
  )
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const found = await context.elogio.openForm(
    params.slug,
    Number(context.form?.get(VERSION_FIELD)) || undefined,
  )
  const { language, refused, unfit } = answersTo(request, found?.shop)
  if (!found?.isOpen) return refused(404, messageCode('problem.notFound'))
  const { throttle, clientAddress } = context
  const suspicion = await throttle.suspicion(clientAddress, params.slug)
  const wait = await throttle.submit(clientAddress, params.slug)
  if (wait !== null) return refused(429, waitCode(wait), { 'Retry-After': String(wait) })
  const sent = onlyFields(context, submissionNames(found.design))
  const schema = submissionSchema(await acceptProduct(found, sent), found.design)
  const { form, problems } = await takePhotos(sent, context, found.form)
  const submission = parseWithZod(form, { schema })
  if (submission.status !== 'success' || problems.length > 0)
    return unfit({
      ...(submission.status !== 'success' && submission.error),
      ...(problems.length > 0 && { media: problems }),
    })
  if (await context.elogio.hasLostPhotos(found, submission.value))
    return unfit({ media: [messageCode('photo.error.gone')] })
  try {
    const { publicId, state, confirm } = await context.elogio.submitForm(found, submission.value, {
      ip: clientAddress,
      suspicion,
      language,
    })
    return Response.json({ id: publicId, state, confirm }, { status: 201 })
  } catch (error) {
    if (!storageFaultIn(error)) throw error
    return refused(503, messageCode('problem.notSaved'), { 'Retry-After': '60' })
  }
}

function answersTo(request: Request, shop: Parameters<typeof speechFor>[1] | undefined) {
  const { language } = speechFor(request, shop)
  const word = (code: string) => translateCode(customerTranslate(language), code)
  return {
    language,
    refused: (status: number, code: string, headers: Record<string, string> = {}) =>
      Response.json({ error: word(code) }, { status, headers }),
    unfit: (errors: Record<string, string[] | null>) =>
      Response.json(
        {
          errors: Object.fromEntries(
            Object.entries(errors).map(([field, codes]) => [field, codes?.map(word) ?? null]),
          ),
        },
        { status: 422 },
      ),
  }
}
