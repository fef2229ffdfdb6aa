import { useEffect, useState, type MouseEvent } from 'react'
import { data } from 'react-router'
import { designFor } from '../../core/form/neededFields'
import { designIn } from '../../core/form/translation'
import { sheetLook } from '../../core/form/sheetLook'
import type { FormDesign } from '../../core/form/design'
import { requireShop } from '../account/session'
import { FormFields } from '../public/FormFields'
import { FormHead } from '../public/FormHead'
import { ShopSheet } from '../public/ShopSheet'
import { useSpeech } from '../public/speech'
import { speechFor } from '../public/speechFor'
import type { Route } from './+types/formPage'

/** The customers' page of a draft, in the frame of the editor. Nothing is sent from it. */
export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'settings')
  const view = await context.elogio.formView(shop, params.form)
  if (!view) throw data(null, { status: 404 })
  return {
    speech: speechFor(request, shop),
    design: view.draft,
    products: view.products,
    writers: view.settings.writers,
    shop: { name: shop.name, shortName: shop.shortName, logo: shop.logo, brand: shop.brand },
  }
}

export default function FormPage({
  loaderData: { speech, shop, products, writers, ...loaded },
}: Route.ComponentProps) {
  const translate = useSpeech(speech)
  const [shown, setShown] = useState<{ design: FormDesign; part: string | null }>({
    design: loaded.design,
    part: null,
  })
  useEffect(() => {
    const hear = ({ data: told, source, origin }: MessageEvent<typeof shown>) => {
      if (origin === location.origin && source === parent) setShown(told)
    }
    addEventListener('message', hear)
    parent.postMessage({ ready: true }, location.origin)
    return () => removeEventListener('message', hear)
  }, [])
  useEffect(() => {
    const [chosen] = shown.part ? document.querySelectorAll(`[data-part="${CSS.escape(shown.part)}"]`) : []
    chosen?.setAttribute('data-chosen', '')
    chosen?.scrollIntoView({ block: 'nearest' })
    return () => chosen?.removeAttribute('data-chosen')
  }, [shown])
  const choose = (event: MouseEvent) => {
    const found = (event.target as Element).closest('[data-part]')
    event.preventDefault()
    if (found) parent.postMessage({ part: found.getAttribute('data-part') }, location.origin)
  }
  const design = designIn(designFor(shown.design, writers), speech.language)
  const heading = design.heading || translate('form.heading')
  return (
    <div className="form-editing" onClickCapture={choose} onSubmitCapture={(event) => event.preventDefault()}>
      <ShopSheet
        shop={{ ...shop, logo: design.logo ? shop.logo : null, shades: sheetLook(design, shop.brand) }}
        title={heading}
        translate={translate}
      >
        <FormHead design={design} product={null} />
        <FormFields
          key={JSON.stringify(design.questions.map(({ id, kind }) => [id, kind]))}
          {...{ design, shop, products }}
          version={0}
          fixedProduct={null}
          findProducts={null}
          writers={writers}
          token=""
          proofOfWork={null}
          address=""
          lastResult={undefined}
        />
      </ShopSheet>
    </div>
  )
}
