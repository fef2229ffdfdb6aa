import { Check } from 'lucide-react'
import { Link, useFetcher } from 'react-router'
import { firstStepNames, type FirstStep } from '../../core/account/firstSteps'
import { say } from '../../core/messages/say/gather'
import type { FirstSteps as Steps } from '../../server/firstSteps'

/** What a new shop does first. Each step ticks itself when it is done, and leads to its place. */
export function FirstSteps({ shop, steps }: { shop: string; steps: Steps | null }) {
  const fetcher = useFetcher<{ ok: boolean }>()
  if (!steps)
    return fetcher.data ? (
      <fetcher.Form method="post" className="mt-3 flex gap-3" role="status">
        {say('firstSteps.putAway')}
        <button name="firstSteps" value="back" className="part">
          {say('gather.undo')}
        </button>
      </fetcher.Form>
    ) : null
  const { done, form } = steps
  const left = firstStepNames.filter((name) => !done[name])
  const place: Record<FirstStep, string> = {
    site: 'settings',
    reviews: 'gather/write',
    form: form ? `gather/forms/${form}/try` : 'gather/forms/new',
    code: 'show',
    email: 'settings/email',
  }
  return (
    <section className="panel mt-4 px-[18px] py-3.5" aria-labelledby="first-steps">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 id="first-steps" className="font-semibold">
          {say('firstSteps.title')}{' '}
          <span className="font-normal text-soft">
            {say('firstSteps.done', {
              done: firstStepNames.length - left.length,
              all: firstStepNames.length,
            })}
          </span>
        </h2>
        <fetcher.Form method="post">
          <button name="firstSteps" value="away" className="part">
            {say('firstSteps.away')}
          </button>
        </fetcher.Form>
      </div>
      <ul className="mt-1.5 flex flex-wrap gap-x-6 gap-y-1">
        {firstStepNames.map((name) => (
          <li key={name} className="flex min-h-7 items-center gap-1.5">
            {done[name] ? (
              <>
                <Check className="size-4 text-moss" aria-hidden="true" />
                <span className="sr-only">{say('firstSteps.isDone')}</span>
                <span className="text-soft">{say(`firstSteps.${name}.done`)}</span>
              </>
            ) : (
              <>
                <span className="size-3.5 rounded-full border-[1.5px] border-edge" aria-hidden="true" />
                <Link to={`/s/${shop}/${place[name]}`} className="text-petrol underline">
                  {say(`firstSteps.${name}.todo`)}
                </Link>
              </>
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}
