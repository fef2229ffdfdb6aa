import { data, Form, Link, redirect } from 'react-router'
import { say } from '../../core/messages/say/forms'
import { requireShop } from '../account/session'
import { ShopSheet } from '../public/ShopSheet'
import { useSpeech } from '../public/speech'
import { thanksPage } from '../public/formRequests'
import { Thanked } from '../public/Thanked'
import { TrialLine } from './forms/TrialLine'
import type { Route } from './+types/triedForm'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'settings')
  const found = await context.elogio.formToTry(shop, params.form)
  const page = found && (await thanksPage(found, { request, context }))
  if (!page) throw data(null, { status: 404 })
  return page
}

/** Removes all test reviews of the form. */
export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop, actor } = await requireShop(request, context, params.shop, 'settings')
  await context.elogio.removeTrials(shop, actor, params.form)
  return redirect(`/s/${params.shop}/gather/forms/${params.form}?tests=removed`)
}

/** The thanks after a test review, and the way on to it. */
export default function TriedForm({ loaderData, params }: Route.ComponentProps) {
  const { received, shop, speech } = loaderData
  const translate = useSpeech(speech)
  const at = `/s/${params.shop}`
  return (
    <>
      <TrialLine>
        {say('forms.trialSent')}
        <Link to={`${at}/decide/${received.publicId}`} className="text-petrol underline">
          {say('forms.followTrial')}
        </Link>
        <Form method="post">
          <button className="text-petrol underline">{say('forms.removeTrials')}</button>
        </Form>
        <Link to={`${at}/gather/forms/${params.form}`} className="text-petrol underline">
          {say('forms.backToForm')}
        </Link>
      </TrialLine>
      <ShopSheet shop={shop} title={translate('form.thanks.title')} translate={translate}>
        <Thanked
          {...loaderData}
          // Who tries it stays in the editor.
          thanks={{ ...loaderData.thanks, link: { ...loaderData.thanks.link, after: 0 } }}
        />
      </ShopSheet>
    </>
  )
}
