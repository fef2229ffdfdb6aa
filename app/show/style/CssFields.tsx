import { useEffect, useMemo, useState } from 'react'
import { OWN_CSS_LIMIT } from '../../../core/display/choices'
import { say } from '../../../core/messages/say/ownCss'
import { BackToLook } from './BackToLook'
import { CssEditor } from './CssEditor'
import { groupOf, type StyleProps } from './styleProps'

/** CSS of the owner's own, and what of it has no effect. */
export default function CssFields(props: StyleProps) {
  const { theme, set, goBack } = groupOf(props, 'css')
  const { cssFindings: findings, draft } = props.view
  // Findings are about what the server has read, and a rule that is being typed is not to be corrected.
  const rested = useRested(theme.css)
  const current = rested && draft.theme.css === theme.css
  const marks = useMemo(
    () =>
      current
        ? findings.map(({ from, to, what, fault }) => ({ from, to, words: wordsOf(what, fault) }))
        : null,
    [current, findings],
  )
  return (
    <div className="flex flex-col gap-1.5">
      <p className="text-[13px] text-soft">{say('ownCss.why')}</p>
      <CssEditor
        label={say('ownCss.label')}
        text={theme.css}
        limit={OWN_CSS_LIMIT}
        change={(css) => set({ css })}
        marks={marks}
      />
      <div role="status" className="text-[13px]">
        {current && findings.length > 0 && (
          <>
            <p className="font-semibold text-ochre">{say('ownCss.noEffect', { count: findings.length })}</p>
            <ul className="max-h-24 overflow-y-auto">
              {findings.map(({ line, from, what, fault }) => (
                <li key={from}>{say('ownCss.line', { line, what: wordsOf(what, fault) })}</li>
              ))}
            </ul>
          </>
        )}
      </div>
      <BackToLook goBack={goBack} />
    </div>
  )
}

type Finding = StyleProps['view']['cssFindings'][number]
const wordsOf = (what: string, fault: Finding['fault']) => `“${what}” ${say(`ownCss.fault.${fault}`)}`

const REST_MS = 1200

/** Whether a value has not changed for a while. */
function useRested(value: string): boolean {
  const [rested, setRested] = useState(value)
  useEffect(() => {
    const timer = setTimeout(() => setRested(value), REST_MS)
    return () => clearTimeout(timer)
  }, [value])
  return rested === value
}
