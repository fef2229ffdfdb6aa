import { say } from '../../core/messages/say/ownCss'
import { Panel } from './Panel'
import { OwnCssFaults } from './preview/OwnCssFaults'
import type { OwnCssFault } from './preview/judgeOwnCss'

/** Own CSS that hides what must be read is not published. */
export default function UnreadablePanel({
  faults,
  close,
  publishWithout,
}: {
  faults: OwnCssFault[]
  close: () => void
  publishWithout: () => void
}) {
  return (
    <Panel title={say('ownCss.unreadable')} close={close}>
      <OwnCssFaults faults={faults} />
      <p className="mt-3">{say('ownCss.whyUnreadable')}</p>
      <div className="mt-5 flex gap-2">
        <button type="button" className="btn btn-primary" onClick={close}>
          {say('ownCss.goBack')}
        </button>
        <button type="button" className="btn btn-quiet" onClick={publishWithout}>
          {say('ownCss.publishWithout')}
        </button>
      </div>
    </Panel>
  )
}
