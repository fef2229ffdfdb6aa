import { useState } from 'react'
import { useFetcher } from 'react-router'
import { say } from '../../core/messages/say/show'

export function NameField({ name }: { name: string }) {
  const fetcher = useFetcher()
  const [typing, setTyping] = useState(false)
  const shown = (fetcher.formData?.get('name') as string | null) ?? name
  if (!typing)
    return (
      <h1 className="text-[13px] font-semibold text-ink">
        <button
          type="button"
          className="min-h-6 underline-offset-2 hover:underline"
          title={say('show.rename')}
          onClick={() => setTyping(true)}
        >
          {shown}
          <span className="sr-only">. {say('show.rename')}</span>
        </button>
      </h1>
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
