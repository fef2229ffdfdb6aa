import { useEffect, useRef, useState, type ReactNode } from 'react'
import type { FormDesign } from '../../../core/form/design'
import { say } from '../../../core/messages/say/forms'
import type { FormPart } from './formParts'

const PHONE = 390

/** The customers' own page in a frame, which shows the draft and says what is clicked. */
export function FormPreview({
  address,
  draft,
  part,
  choose,
  words,
}: {
  address: string
  /** What chooses the language of the texts. */
  words: ReactNode
  draft: FormDesign
  part: FormPart | null
  choose: (part: FormPart) => void
}) {
  const frame = useRef<HTMLIFrameElement>(null)
  const [loaded, setLoaded] = useState(0)
  const [phone, setPhone] = useState(false)
  useEffect(() => {
    frame.current?.contentWindow?.postMessage({ design: draft, part }, location.origin)
  }, [draft, part, loaded])
  useEffect(() => {
    const hear = ({ data, source, origin }: MessageEvent<{ part?: FormPart; ready?: true }>) => {
      if (origin !== location.origin || source !== frame.current?.contentWindow) return
      if (data.ready) setLoaded((count) => count + 1)
      if (data.part) choose(data.part)
    }
    addEventListener('message', hear)
    return () => removeEventListener('message', hear)
  }, [choose])
  return (
    <section
      aria-label={say('forms.preview')}
      className="flex min-h-0 min-w-0 flex-1 flex-col px-4 pt-2 lg:px-6"
    >
      <div className="flex items-center gap-4 pb-2 text-[13px] text-soft">
        <button type="button" className="part min-h-6" aria-pressed={phone} onClick={() => setPhone(!phone)}>
          {say('forms.phone')}
        </button>
        <span>{say('forms.clickToChange')}</span>
        {words}
      </div>
      <iframe
        ref={frame}
        src={address}
        title={say('forms.preview')}
        className="min-h-[560px] flex-1 rounded-t-[14px] border border-b-0 border-line bg-paper"
        style={{ width: phone ? PHONE : '100%' }}
      />
    </section>
  )
}
