import { isRouteErrorResponse, useRouteError } from 'react-router'
import { say } from '../../core/words/say'

/** A link of a mail that is unknown or has run out. */
export function LinkGone() {
  const error = useRouteError()
  if (!isRouteErrorResponse(error) || error.status !== 404) throw error
  return (
    <main className="mx-auto max-w-[560px] px-6 py-16">
      <title>{say('confirm.gone')}</title>
      <h1 className="text-[26px]">{say('confirm.gone')}</h1>
      <p className="mt-2 text-[15px]">{say('confirm.goneHint')}</p>
    </main>
  )
}
