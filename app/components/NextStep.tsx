import { Link } from 'react-router'
import { countWord, countWordFirst, say } from '../../core/messages/say'
import type { NextStep as Step } from '../../server/nextStep'

/** One sentence from the real state and the act that follows from it; nothing while there is nothing to do or show. */
export function NextStep({ shop, step: { toDecide, ready, display } }: { shop: string; step: Step }) {
  if (toDecide > 0)
    return (
      <p className="flex flex-wrap items-center gap-x-4 gap-y-2">
        {say('decide.need', { count: toDecide, replace: { count: countWordFirst(toDecide) } })}
        <Link to={`/s/${shop}/decide`} className="btn btn-quiet">
          {say('gather.decide', { count: toDecide })}
        </Link>
      </p>
    )
  if (ready === 0 || !display) return null
  return (
    <p className="flex flex-wrap items-center gap-x-4 gap-y-2">
      {say('gather.ready', { count: ready, replace: { count: countWord(ready) } })}
      <Link
        to={`/s/${shop}/show/${display.key}`}
        className={`btn ${display.live ? 'btn-quiet' : 'btn-primary'}`}
      >
        {say(display.live ? 'gather.seeDisplay' : 'gather.firstDisplay')}
      </Link>
    </p>
  )
}
