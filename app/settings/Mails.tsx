import { useFetcher } from 'react-router'
import { notificationPreferences } from '../../core/account/notificationPreference'
import { say } from '../../core/messages/say/setUp'
import type { MailSettings } from '../../server/mail/mailSettings'

const hours = Array.from({ length: 24 }, (_, hour) => hour)

/** The state of outgoing email, and the member's notification preference. */
export function Mails({ mails, email }: { mails: MailSettings; email: string }) {
  const fetcher = useFetcher<{ done?: string }>()
  const { out, counts, troubled, preference, digestHour } = mails
  return (
    <section className="panel px-6 py-5" aria-labelledby="mails">
      <h2 id="mails" className="text-[16px] font-semibold">
        {say('settings.mails')}
      </h2>
      {!out ? (
        <p className="mt-2 text-ochre">{say('settings.mailsNone')}</p>
      ) : (
        <>
          <p className="mt-2">{say('settings.mailsOut', out)}</p>
          <p className="text-soft">
            {say('settings.mailCounts', counts)} {say('settings.bounces')}
          </p>
          {troubled.length > 0 && (
            <>
              <h3 className="mt-3 font-semibold">{say('settings.troubled')}</h3>
              <ul className="mt-1 flex flex-col gap-1">
                {troubled.map(({ id, recipient, error }) => (
                  <li key={id} className="break-words">
                    {recipient}: <span className="text-ochre">{error}</span>
                  </li>
                ))}
              </ul>
            </>
          )}
          <fetcher.Form method="post" className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-2">
            <button name="intent" value="trial" className="btn btn-quiet">
              {say('settings.trial')}
            </button>
            <span role="status" className="text-moss">
              {fetcher.data?.done === 'trial' && say('settings.trialSent', { email })}
            </span>
          </fetcher.Form>
          <fetcher.Form method="post" className="mt-5 flex flex-col gap-3 border-t border-line pt-4">
            <fieldset>
              <legend className="font-semibold">{say('settings.notifications')}</legend>
              {notificationPreferences.map((choice) => (
                <label key={choice} className="mt-1.5 flex items-center gap-2">
                  <input
                    type="radio"
                    name="preference"
                    value={choice}
                    defaultChecked={choice === preference}
                    className="radio radio-sm border-edge"
                  />
                  {say(`settings.notifyOf.${choice}`)}
                </label>
              ))}
            </fieldset>
            <label>
              {say('settings.digestHour')}{' '}
              <select name="digest_hour" defaultValue={digestHour} className="select w-auto border-edge">
                {hours.map((hour) => (
                  <option key={hour} value={hour}>
                    {say('settings.hour', { hour })}
                  </option>
                ))}
              </select>
            </label>
            <div className="flex items-center gap-4">
              <button name="intent" value="telling" className="btn btn-quiet">
                {say('settings.saveTelling')}
              </button>
              <span role="status" className="text-moss">
                {fetcher.data?.done === 'telling' && say('settings.saved')}
              </span>
            </div>
          </fetcher.Form>
        </>
      )}
    </section>
  )
}
