import { data } from 'react-router'
import { VERSION_FIELD } from '../../core/intake/submission'
import { sessionToken } from '../account/session'
import { FormFields } from './FormFields'
import { FormHead } from './FormHead'
import { formPage, sendForm } from './formRequests'
import { ShopSheet } from './ShopSheet'
import { useSpeech } from './speech'
import { useBegun } from './useBegun'
import type { Route } from './+types/form'

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const found = await context.elogio.openForm(params.slug)
  if (!found) throw data(null, { status: 404 })
  // Members look at their own forms.
  if (!(await sessionToken(request, context))) context.elogio.formVisits.opened(found)
  return data(await formPage(found, { request, context }), { status: found.isRemoved ? 410 : 200 })
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const version = Number(context.form?.get(VERSION_FIELD)) || undefined
  const found = await context.elogio.openForm(params.slug, version)
  if (!found?.isOpen) throw data(null, { status: found?.isRemoved ? 410 : 404 })
  return sendForm(found, { request, context })
}

/** Passes on `Retry-After`. */
export function headers({ actionHeaders }: Route.HeadersArgs) {
  return actionHeaders
}

export default function CustomerForm({ loaderData, actionData, params }: Route.ComponentProps) {
  const { design, open, shop, speech } = loaderData
  const translate = useSpeech(speech)
  const heading = design.heading || translate('form.heading')
  const begun = useBegun(`/f/${params.slug}/begun`, loaderData.token)
  return (
    <ShopSheet
      shop={shop}
      title={heading}
      description={loaderData.description || heading}
      translate={translate}
    >
      {open ? (
        <div {...begun}>
          <FormHead design={design} product={loaderData.fixedProduct} />
          <FormFields
            {...loaderData}
            address={`/f/${params.slug}/photo?lang=${speech.language}`}
            findProducts={`/f/${params.slug}/products`}
            lastResult={actionData}
          />
        </div>
      ) : (
        <>
          <h1 className="text-[26px]">{translate('form.closed')}</h1>
          <p className="mt-1 text-[15px] whitespace-pre-line text-soft">
            {design.closed || translate('form.closedHint', { shop: shop.shortName })}
          </p>
        </>
      )}
    </ShopSheet>
  )
}
