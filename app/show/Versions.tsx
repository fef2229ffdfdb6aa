import { useFetcher } from 'react-router'
import { say } from '../../core/messages/say/show'
import { Panel } from './Panel'

interface VersionLine {
  number: number
  spokenAt: string
  by: string | null
  sentence: string
  live: boolean
}

/** The published versions; each can be made the draft again. */
export default function Versions({ versions, close }: { versions: VersionLine[]; close: () => void }) {
  const fetcher = useFetcher()
  return (
    <Panel title={say('show.versions')} close={close}>
      {versions.length === 0 && <p>{say('show.noVersions')}</p>}
      <ol className="flex flex-col">
        {versions.map(({ number, spokenAt, by, sentence, live }) => (
          <li key={number} className="flex items-start gap-4 border-t border-line py-3 first:border-0">
            <div className="min-w-0 flex-1">
              <p className="font-semibold">
                {say('show.version', { number, at: spokenAt })}
                {by && <span className="font-normal text-soft"> {say('show.versionBy', { name: by })}</span>}
              </p>
              <p className="text-[13px] text-soft">{sentence}</p>
            </div>
            {live ? (
              <span className="chip shrink-0" style={{ ['--tone' as string]: 'var(--color-success)' }}>
                {say('show.live')}
              </span>
            ) : (
              <fetcher.Form method="post" onSubmit={close}>
                <input type="hidden" name="intent" value="back" />
                <input type="hidden" name="version" value={number} />
                <button className="btn btn-quiet btn-sm">{say('show.backToThis')}</button>
              </fetcher.Form>
            )}
          </li>
        ))}
      </ol>
    </Panel>
  )
}
