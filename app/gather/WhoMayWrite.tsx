import { useFetcher } from 'react-router'
import { writersChoices, type Writers } from '../../core/intake/writers'
import { say } from '../../core/messages/say/gather'

export function WhoMayWrite({
  form,
  writers,
  mails,
  intent,
}: {
  form: string
  writers: Writers
  mails: boolean
  /** Where the page's action has several. */
  intent?: string
}) {
  const fetcher = useFetcher<{ ok?: boolean; problem?: string }>()
  const shown = (fetcher.formData?.get('writers') as Writers | undefined) ?? writers
  return (
    <fetcher.Form method="post" className="text-wrap">
      <input type="hidden" name="form" value={form} />
      {intent && <input type="hidden" name="intent" value={intent} />}
      <label>
        {say('gather.mayWrite')}{' '}
        <select
          name="writers"
          value={shown}
          onChange={(event) => void fetcher.submit(event.currentTarget.form)}
          className="part field-sizing-content min-h-6 cursor-pointer bg-transparent"
        >
          {writersChoices.map((choice) => (
            <option key={choice} value={choice}>
              {say(`gather.writers.${choice}`)}
            </option>
          ))}
        </select>
      </label>
      {fetcher.data?.problem && (
        <span role="alert" className="block font-semibold text-plum">
          {fetcher.data.problem}
        </span>
      )}
      {shown !== 'anyone' && !mails && <span className="block text-ochre">{say('gather.noMails')}</span>}
    </fetcher.Form>
  )
}
