import { say } from '../../core/messages/say/show'

/** Another tab has changed the draft; nothing is overwritten before the owner chooses. */
export default function ChangedElsewhere({
  takeTheirs,
  keepOwn,
}: {
  takeTheirs: () => void
  keepOwn: () => void
}) {
  return (
    <div role="alert" className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1">
      <b className="font-semibold text-ochre">{say('show.elsewhere')}</b>
      <button type="button" className="btn btn-quiet btn-low" onClick={takeTheirs}>
        {say('show.takeTheirs')}
      </button>
      <button type="button" className="btn btn-quiet btn-low" onClick={keepOwn}>
        {say('show.keepOwn')}
      </button>
    </div>
  )
}
