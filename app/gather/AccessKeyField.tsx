import { say } from '../../core/messages/say/listings'

/** The field for an access key with the button that tries it, within a form. */
export function AccessKeyField({ intent, hint }: { intent: 'tryKey' | 'renewKey'; hint?: string }) {
  return (
    <>
      <label className="font-semibold" htmlFor="accessKey">
        {say('listings.key')}
      </label>
      {hint && <p className="text-soft">{hint}</p>}
      <div className="flex gap-2">
        <input
          id="accessKey"
          name="accessKey"
          required
          autoComplete="off"
          spellCheck={false}
          className="input h-11 w-full border-edge text-[16px]"
        />
        <button name="intent" value={intent} className="btn btn-primary h-11">
          {say(`listings.${intent}`)}
        </button>
      </div>
    </>
  )
}
