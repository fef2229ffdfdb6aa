import { Link } from 'react-router'
import { countWordFirst } from '../../core/messages/countWord'
import { say } from '../../core/messages/say/frame'
import type { NextStep as Step } from '../../server/nextStep'

/** What the owner should do next; nothing if nothing is to be done. */
export function NextStep({ shop, step: { toDecide, ready, display } }: { shop: string; step: Step }) {
  if (toDecide > 0)
    return (
      <p className="flex flex-wrap items-center gap-x-4 gap-y-2">
        {say('nextStep.decide', { count: toDecide, replace: { count: countWordFirst(toDecide) } })}
        <Link to={`/s/${shop}/decide`} className="btn btn-primary">
          {say('nextStep.open')}
        </Link>
      </p>
    )
  if (!display) return null
  if (ready === 0)
    return display.live ? null : (
      <Link to={`/s/${shop}/show/${display.key}`} className="btn btn-quiet">
        {say('nextStep.samples')}
      </Link>
    )
  return (
    <p className="flex flex-wrap items-center gap-x-4 gap-y-2">
      {say('nextStep.show', { count: ready, replace: { count: countWordFirst(ready) } })}
      <Link
        to={`/s/${shop}/show/${display.key}`}
        className={`btn ${display.live ? 'btn-quiet' : 'btn-primary'}`}
      >
        {say(display.live ? 'nextStep.seeDisplay' : 'nextStep.firstDisplay')}
      </Link>
    </p>
  )
}
