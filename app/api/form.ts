import { designFor } from '../../core/form/neededFields'
import { submissionFields, VERSION_FIELD } from '../../core/intake/submission'
import { messageCode, translateCode } from '../../core/messages/code'
import { customerTranslate } from '../../core/messages/customers'
import { admit, forCustomers, receiveForm } from '../public/formRequests'
import { speechFor } from '../public/speechFor'
import { retryHeaders } from '../public/submitReview'
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
      fields: submissionFields(designFor(found.design, found.form.writers)).map((field) =>
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
  const admitted = await admit(found, context)
  // Nothing is read of what comes too often.
  if (admitted.wait !== null) return refused(429, waitCode(admitted.wait), retryHeaders(admitted.wait))
  const result = await receiveForm(found, admitted, language, context)
  if (result.outcome === 'stored') {
    const { publicId, state, confirm } = result.stored
    return Response.json({ id: publicId, state, confirm }, { status: 201 })
  }
  const { status, errors, retryAfter } = result
  if (status === 422) return unfit(errors)
  return refused(status, errors['']![0]!, retryHeaders(retryAfter))
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
