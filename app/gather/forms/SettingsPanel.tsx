import { useState } from 'react'
import { useFetcher } from 'react-router'
import { say } from '../../../core/messages/say/forms'
import { TAG_LIMIT } from '../../../core/moderation/reviewAct'
import type { FormView } from '../../../server/collection/forms'
import { SelectLine } from '../../show/SelectLine'
import { WhoMayWrite } from '../WhoMayWrite'

/** What holds at once, whatever the draft says: who can write and how long, and how reviews begin. */
export default function SettingsPanel({ part, view }: { part: 'writers' | 'arrivals'; view: FormView }) {
  const { settings } = view
  const fetcher = useFetcher()
  const set = (changed: { lastDay?: string; arrivesAs?: string; tag?: string }) =>
    void fetcher.submit({ intent: 'settings', ...changed }, { method: 'post' })
  const [tag, setTag] = useState(settings.tag)
  if (part === 'writers')
    return (
      <>
        <h2>{say('forms.part.writers')}</h2>
        <WhoMayWrite form={view.publicId} writers={settings.writers} mails={view.mails} intent="writers" />
        <p className="text-[13px] text-soft">{say('forms.byProduct')}</p>
        <label className="flex flex-col gap-1">
          <span className="text-[13px] text-soft">{say('forms.lastDay')}</span>
          <input
            type="date"
            key={settings.lastDay}
            defaultValue={settings.lastDay}
            onChange={(event) => set({ lastDay: event.currentTarget.value })}
            className="input w-44 border-edge text-ink"
          />
        </label>
        <p className="text-[13px] text-soft">{say('forms.atOnce')}</p>
      </>
    )
  return (
    <>
      <h2>{say('forms.part.arrivals')}</h2>
      <SelectLine
        label={say('forms.arrive')}
        value={settings.arrivesAs}
        choices={(['waiting', 'approved'] as const).map((one) => [one, say(`forms.arrives.${one}`)])}
        choose={(arrivesAs) => set({ arrivesAs })}
      />
      <p className="text-[13px] text-soft">{say('forms.rulesStronger')}</p>
      <label className="flex flex-col gap-1">
        <span className="text-[13px] text-soft">{say('forms.tag')}</span>
        <input
          value={tag}
          list="form-tags"
          maxLength={TAG_LIMIT}
          onChange={(event) => setTag(event.currentTarget.value)}
          onBlur={() => tag.trim() !== settings.tag && set({ tag: tag.trim() })}
          onKeyDown={({ key, currentTarget }) => key === 'Enter' && currentTarget.blur()}
          className="input w-full border-edge text-ink"
        />
        <datalist id="form-tags">
          {view.tags.map((one) => (
            <option key={one} value={one} />
          ))}
        </datalist>
      </label>
      <p className="text-[13px] text-soft">{say('forms.tagHint')}</p>
    </>
  )
}
