import { data } from 'react-router'
import { say } from '../../core/messages/say/forms'
import { requireShop } from '../account/session'
import { FormFields } from '../public/FormFields'
import { FormHead } from '../public/FormHead'
import { formPage, sendForm } from '../public/formRequests'
import { ShopSheet } from '../public/ShopSheet'
import { useSpeech } from '../public/speech'
import { TrialLine } from './forms/TrialLine'
import type { Route } from './+types/tryForm'

async function formToTry({ request, context, params }: Route.LoaderArgs | Route.ActionArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'settings')
  const found = await context.elogio.formToTry(shop, params.form)
  if (!found) throw data(null, { status: 404 })
  return found
}

export async function loader(args: Route.LoaderArgs) {
  return formPage(await formToTry(args), args)
}

export async function action(args: Route.ActionArgs) {
  return sendForm(await formToTry(args), args)
}

/** The customers' page of a draft. What is sent from it is a test review. */
export default function TryForm({ loaderData, actionData, params }: Route.ComponentProps) {
  const { design, shop, speech } = loaderData
  const translate = useSpeech(speech)
  const at = `/s/${params.shop}/gather/forms/${params.form}`
  return (
    <>
      <TrialLine>
        {say('forms.trialHere')}{' '}
        <a href={at} className="text-petrol underline">
          {say('forms.backToForm')}
        </a>
      </TrialLine>
      <ShopSheet shop={shop} title={design.heading || translate('form.heading')} translate={translate}>
        <FormHead design={design} product={loaderData.fixedProduct} />
        <FormFields
          {...loaderData}
          address={`${at}/photo?lang=${speech.language}`}
          findProducts={`/s/${params.shop}/gather/products/find`}
          lastResult={actionData}
        />
      </ShopSheet>
    </>
  )
}
