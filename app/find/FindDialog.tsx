import { Search } from 'lucide-react'
import { useEffect, useId, useRef, useState, type KeyboardEvent } from 'react'
import { useNavigate } from 'react-router'
import { say } from '../../core/messages/say/find'
import { StateMark } from '../components/StateMark'
import { FoundWords } from '../decide/FoundWords'
import { keepFound, recentlyFound } from './recent'
import { groupsOf, type Result, type ResultGroup, type Where } from './results'
import { useFind } from './useFind'

/** The field and what it finds. Arrow keys move, Enter opens. */
export default function FindDialog({ where, close }: { where: Where; close: () => void }) {
  const [typed, setTyped] = useState('')
  const { answer, isSearching, hasFailed } = useFind(where.shop, typed)
  const [recent] = useState(() => recentlyFound(where.shop))
  const [marked, setMarked] = useState(0)
  const id = useId()
  const navigate = useNavigate()
  const words = typed.trim()
  const groups: ResultGroup[] =
    words === ''
      ? recent.length > 0
        ? [{ name: 'recent', results: recent }]
        : []
      : answer
        ? groupsOf(answer.found, answer.typed, where, new Set(recent.map(({ to }) => to)))
        : []
  const results = groups.flatMap((group) => group.results)
  const at = Math.min(marked, results.length - 1)
  const optionId = (i: number) => `${id}-${i}`
  useEffect(() => {
    document.getElementById(`${id}-${at}`)?.scrollIntoView({ block: 'nearest' })
  }, [id, at])
  const open = (result: Result) => {
    keepFound(where.shop, { to: result.to, title: result.title })
    close()
    void navigate(result.to)
  }
  // Enter before the answer opens its first result, never one of the answer before.
  const isOpening = useRef(false)
  const isAnswered = words === '' || answer?.typed === words
  useEffect(() => {
    if (!isOpening.current || !isAnswered) return
    isOpening.current = false
    if (results[0]) open(results[0])
  })
  const onKey = (event: KeyboardEvent) => {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key]
    if (step !== undefined && results.length > 0) {
      event.preventDefault()
      setMarked((at + step + results.length) % results.length)
    }
    if (event.key === 'Enter' && !event.nativeEvent.isComposing) {
      event.preventDefault()
      if (!isAnswered) isOpening.current = true
      else if (results[at]) open(results[at])
    }
  }
  const isEmpty = words !== '' && isAnswered && results.length === 0
  return (
    <>
      <label className="flex items-center gap-3 border-b border-line px-5">
        <Search className="size-5 shrink-0 text-soft" aria-hidden="true" />
        <span className="sr-only">{say('find.field')}</span>
        <input
          autoFocus
          role="combobox"
          aria-expanded={results.length > 0}
          aria-controls={`${id}-list`}
          aria-activedescendant={results.length > 0 ? optionId(at) : undefined}
          aria-autocomplete="list"
          autoComplete="off"
          spellCheck={false}
          maxLength={200}
          className="h-14 w-full min-w-0 bg-transparent text-[16px] outline-none"
          placeholder={say('find.hint')}
          value={typed}
          onChange={(event) => {
            setTyped(event.currentTarget.value)
            setMarked(0)
            isOpening.current = false
          }}
          onKeyDown={onKey}
        />
        <button type="button" className="btn btn-quiet shrink-0" onClick={close}>
          {say('find.close')}
        </button>
      </label>
      <div
        id={`${id}-list`}
        role="listbox"
        aria-label={say('find.name')}
        className={results.length > 0 ? 'min-h-0 overflow-y-auto p-2' : ''}
      >
        {groups.map(({ name, results: ofGroup }) => (
          <div key={name} role="group" aria-labelledby={`${id}-${name}`}>
            <p id={`${id}-${name}`} className="px-3 pt-2.5 pb-1 text-[13px] font-semibold text-soft">
              {say(`find.groups.${name}`)}
            </p>
            {ofGroup.map((result) => {
              const i = results.indexOf(result)
              return (
                <a
                  key={result.to}
                  id={optionId(i)}
                  role="option"
                  tabIndex={-1}
                  aria-selected={i === at}
                  href={result.to}
                  className={`flex min-h-10 items-center gap-2.5 rounded-lg px-3 py-1.5 ${i === at ? 'bg-tint' : 'hover:bg-wash'}`}
                  onClick={(event) => {
                    if (event.metaKey || event.ctrlKey || event.shiftKey) return
                    event.preventDefault()
                    open(result)
                  }}
                >
                  <ResultLine {...result} q={words} />
                </a>
              )
            })}
          </div>
        ))}
      </div>
      <p role="status" className={results.length > 0 ? 'sr-only' : 'px-5 py-4 text-soft'}>
        {hasFailed
          ? say('find.failed')
          : isEmpty
            ? say('find.nothing', { typed: words })
            : words !== '' && isSearching && results.length === 0
              ? say('find.searching')
              : results.length > 0
                ? say('find.found', { count: results.length })
                : words === '' && say('find.field')}
        {isEmpty && <span className="block">{say('find.nothingHint')}</span>}
      </p>
    </>
  )
}

function ResultLine({ title, about, state, q }: Result & { q: string }) {
  return (
    <>
      {state && (
        <>
          <StateMark state={state} />
          <span className="sr-only">{say(`state.${state}`)}</span>
        </>
      )}
      <span className="max-w-full shrink-0 truncate font-semibold">
        <FoundWords text={title} q={q} />
      </span>
      {about && (
        <span className="min-w-0 truncate text-soft">
          <FoundWords text={about} q={q} />
        </span>
      )}
    </>
  )
}
