import { useState } from 'react'
import { useNavigate } from 'react-router'
import { say } from '../../core/messages/say/gather'

/** The field for a message of a customer; the next page fills in the review from it. */
export function AnythingField({ shop }: { shop: string }) {
  const [text, setText] = useState('')
  const navigate = useNavigate()
  const write = () => void navigate(`/s/${shop}/gather/write`, { state: text })
  return (
    <div className="panel mt-4 border-petrol px-[18px] py-4">
      <label>
        <span className="sr-only">{say('gather.paste')}</span>
        <textarea
          rows={2}
          value={text}
          placeholder={say('gather.paste')}
          className="w-full resize-none text-[17px] outline-none placeholder:text-soft"
          onChange={(event) => setText(event.currentTarget.value)}
          onPaste={(event) => {
            const pasted = event.clipboardData.getData('text/plain')
            if (text.trim() || !pasted.trim()) return
            event.preventDefault()
            void navigate(`/s/${shop}/gather/write`, { state: pasted })
          }}
        />
      </label>
      <div className="mt-2 flex justify-end">
        <button type="button" className="btn btn-quiet" onClick={write}>
          {text.trim() ? say('gather.take') : say('gather.add')}
        </button>
      </div>
    </div>
  )
}
