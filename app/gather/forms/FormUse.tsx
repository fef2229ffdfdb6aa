import { Printer } from 'lucide-react'
import { lazy, Suspense } from 'react'
import { Form, Link, useSearchParams } from 'react-router'
import { say } from '../../../core/messages/say/forms'
import type { FormView } from '../../../server/collection/forms'
import { CopyButton } from '../../components/CopyButton'
import { FormAddress } from './FormAddress'
import type { FormUsePart } from './formParts'

// Scales for the chart are large, so they come after the editor.
const FormDays = lazy(() => import('./FormDays'))

const button = 'btn btn-quiet btn-low self-start'

/** How a form is tried, how customers get to it, and what came through it. */
export default function FormUse({ part, view, at }: { part: FormUsePart; view: FormView; at: string }) {
  return (
    <>
      <h2>{say(`forms.part.${part}`)}</h2>
      {part === 'try' ? (
        <Tests view={view} at={at} />
      ) : part === 'place' ? (
        <Places view={view} at={at} />
      ) : (
        <>
          <Suspense fallback={<p className="min-h-24" />}>
            <FormDays days={view.days} />
          </Suspense>
          <Form method="post">
            <button name="intent" value="display" className={button}>
              {say('forms.display')}
            </button>
          </Form>
        </>
      )}
    </>
  )
}

function Tests({ view: { trials }, at }: { view: FormView; at: string }) {
  const removed = useSearchParams()[0].get('tests') === 'removed' && trials === 0
  return (
    <>
      <p className="text-soft">{say('forms.tryWhy')}</p>
      <Link to={`${at}/try`} reloadDocument className={button}>
        {say('forms.sendTrial')}
      </Link>
      {(trials > 0 || removed) && (
        <Form method="post" className="flex flex-wrap items-center gap-3" role="status">
          {removed ? say('forms.trialsRemoved') : say('forms.trials', { count: trials })}
          <button name="intent" value={removed ? 'restoreTrials' : 'removeTrials'} className="part">
            {say(removed ? 'forms.restoreTrials' : 'forms.removeTrials')}
          </button>
        </Form>
      )}
    </>
  )
}

function Places({ view, at }: { view: FormView; at: string }) {
  return (
    <>
      <FormAddress address={view.address} slug={view.slug} />
      <h3 className="mt-2 font-semibold">{say('forms.onPage')}</h3>
      <CopyButton text={view.code.inPlace} label={say('forms.inPlace')} />
      <CopyButton text={view.code.over} label={say('forms.over')} />
      <h3 className="mt-2 font-semibold">{say('forms.onPaper')}</h3>
      <Link to={`${at}/card`} reloadDocument className={button}>
        <Printer className="size-4" aria-hidden="true" />
        {say('forms.card')}
      </Link>
    </>
  )
}
