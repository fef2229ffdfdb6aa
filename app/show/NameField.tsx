import { useState } from 'react'
import { useFetcher } from 'react-router'
import { say } from '../../core/messages/say/show'

export function NameField({ name }: { name: string }) {
  const fetcher = useFetcher()
  const [typing, setTyping] = useState(false)
  const shown = (fetcher.formData?.get('name') as string | null) ?? name
  if (!typing)
    return (
      <>
        <h1 className="min-w-0 truncate text-[16px] font-semibold text-ink">{shown}</h1>
        <button
          type="button"
          className="inline-flex min-h-6 items-center gap-1 text-[13px] text-petrol underline"
          onClick={() => setTyping(true)}
        >
          {say('show.rename')}
        </button>
        <span className="hidden text-[13px] text-soft xl:inline">{say('show.onlyYou')}</span>
      </>
    )
  return (
    <fetcher.Form
      method="post"
      onSubmit={() => setTyping(false)}
      onKeyDown={(event) => event.key === 'Escape' && setTyping(false)}
    >
      <input type="hidden" name="intent" value="rename" />
      <input
        name="name"
        defaultValue={shown}
        aria-label={say('show.nameLabel')}
        className="input input-sm w-64 border-edge text-ink"
        maxLength={80}
        required
        autoFocus
        onFocus={(event) => event.currentTarget.select()}
        onBlur={(event) => event.currentTarget.value.trim() && event.currentTarget.form?.requestSubmit()}
      />
    </fetcher.Form>
  )
}
