import { ArrowLeft, ExternalLink, Redo2, Undo2 } from 'lucide-react'
import { Link } from 'react-router'
import { say } from '../../../core/messages/say/forms'
import type { FormView } from '../../../server/collection/forms'
import { CopyButton } from '../../components/CopyButton'
import { Menu } from '../../components/Menu'
import { StepButton } from '../../components/StepButton'
import { NameField } from '../../show/NameField'

interface Given {
  view: FormView
  submit: (intent: string) => void
}

/** The name of a form, how its saving stands, and what is done with the whole of it. */
export function FormHeader({
  shop,
  name,
  undo,
  redo,
  saving,
  problem,
  isReady,
  ...given
}: Given & {
  shop: string
  name: string
  undo: (() => void) | null
  redo: (() => void) | null
  saving: boolean
  /** Why the draft was not saved. */
  problem: string | null
  /** Whether it can be opened. */
  isReady: boolean
}) {
  const { view } = given
  return (
    <div className="flex flex-wrap items-center gap-2">
      <Link to={`/s/${shop}/gather`} className="inline-flex min-h-6 items-center gap-1 text-petrol underline">
        <ArrowLeft className="size-4" aria-hidden="true" />
        {say('forms.back')}
      </Link>
      <NameField name={name} />
      <span className="text-[13px] text-soft">{say(`forms.state.${view.isOver ? 'over' : view.state}`)}</span>
      <span
        className={`ml-auto text-[13px] ${problem ? 'font-semibold text-plum' : 'text-soft'}`}
        role="status"
      >
        {problem ? say('show.notKept', { why: problem }) : saving ? say('show.keeping') : ''}
      </span>
      <StepButton words={say('show.undo')} act={undo}>
        <Undo2 className="size-4" aria-hidden="true" />
      </StepButton>
      <StepButton words={say('show.redo')} act={redo}>
        <Redo2 className="size-4" aria-hidden="true" />
      </StepButton>
      {view.state !== 'draft' && <Links view={view} />}
      <Publish {...given} isReady={isReady} />
      <More {...given} />
    </div>
  )
}

/** Its address for customers. */
function Links({ view }: Pick<Given, 'view'>) {
  return (
    <>
      <span className="[&_.btn]:h-8 [&_.btn]:min-h-8">
        <CopyButton text={view.address} label={say('forms.copyAddress')} />
      </span>
      <a href={`/f/${view.slug}`} target="_blank" rel="noreferrer" className="btn btn-quiet btn-low">
        {say('forms.look')}
        <ExternalLink className="size-4" aria-hidden="true" />
      </a>
    </>
  )
}

function Publish({ view, submit, isReady }: Given & { isReady: boolean }) {
  return (
    <>
      {view.differs && (
        <button type="button" className="btn btn-quiet btn-low" onClick={() => submit('discard')}>
          {say('forms.discard')}
        </button>
      )}
      {view.state === 'open' && !view.differs ? (
        <span className="text-[13px] font-semibold text-moss">{say('forms.published')}</span>
      ) : (
        <button
          type="button"
          className="btn btn-primary btn-low"
          disabled={!isReady}
          onClick={() => submit('publish')}
        >
          {say(
            view.state === 'open' ? 'forms.publish' : view.state === 'closed' ? 'forms.reopen' : 'forms.open',
          )}
        </button>
      )}
    </>
  )
}

function More({ view, submit }: Given) {
  return (
    <Menu label={<span className="part">{say('forms.more')}</span>} name="">
      <ul className="flex flex-col">
        {(view.state === 'open' ? (['close', 'copy', 'remove'] as const) : (['copy', 'remove'] as const)).map(
          (intent) => (
            <li key={intent}>
              <button
                type="button"
                className="min-h-9 w-full rounded-lg px-2 text-left hover:bg-wash"
                onClick={() => submit(intent)}
              >
                {say(`forms.${intent}`)}
              </button>
            </li>
          ),
        )}
      </ul>
    </Menu>
  )
}
