import { isRouteErrorResponse, useRouteError } from 'react-router'
import { useProblemTranslate } from './speech'

/** A link of an email that is unknown or has expired. */
export function LinkGone() {
  const error = useRouteError()
  const translate = useProblemTranslate()
  if (!translate || !isRouteErrorResponse(error) || error.status !== 404) throw error
  return (
    <main className="mx-auto max-w-[560px] px-6 py-16">
      <title>{translate('confirm.gone')}</title>
      <h1 className="text-[26px]">{translate('confirm.gone')}</h1>
      <p className="mt-2 text-[15px]">{translate('confirm.goneHint')}</p>
    </main>
  )
}
