import { ANSWER_LABEL_LIMIT } from '../../../core/intake/answer'
import type { Configuration } from '../../../core/display/configuration'
import { asConfigured, withColumn, withColumnMoved } from '../../../core/display/tableColumns'
import { say } from '../../../core/messages/say/show'
import type { EditorView } from '../../../server/publishing/showViews'
import { changing } from '../strips/stripProps'
import { SwitchLine } from '../SwitchLine'

/** The settings of one column of a table. */
export function ColumnFields({
  column: key,
  view,
  ...given
}: {
  column: string
  view: EditorView
  draft: Configuration
  change: (changed: Configuration) => void
}) {
  const set = changing(given, 'layout')
  // The view follows the draft after a moment, so that two changes within it would lose the first.
  const columns = asConfigured(view.tableColumns, given.draft.layout.tableColumns)
  const visible = columns.filter(({ hidden }) => !hidden)
  const at = visible.findIndex((one) => one.key === key)
  const column = visible[at]
  if (!column) return null
  const put = (change: Parameters<typeof withColumn>[2]) =>
    set({ tableColumns: withColumn(columns, key, change) })
  const move = (by: -1 | 1) => set({ tableColumns: withColumnMoved(columns, key, by) })
  return (
    <>
      <label className="flex flex-col gap-1">
        <span className="text-[13px] text-soft">{say('show.columnHeading')}</span>
        <input
          key={key}
          className="input w-full border-edge"
          maxLength={ANSWER_LABEL_LIMIT}
          defaultValue={column.heading}
          placeholder={column.words}
          onChange={(event) => put({ heading: event.currentTarget.value.trim() })}
        />
      </label>
      <SwitchLine words={say('show.columnSetOff')} on={column.setOff} set={(setOff) => put({ setOff })} />
      <div className="flex flex-wrap gap-2">
        <button type="button" className="btn btn-quiet" disabled={at === 0} onClick={() => move(-1)}>
          {say('show.columnLeft')}
        </button>
        <button
          type="button"
          className="btn btn-quiet"
          disabled={at === visible.length - 1}
          onClick={() => move(1)}
        >
          {say('show.columnRight')}
        </button>
        <button
          type="button"
          className="btn btn-quiet"
          disabled={visible.length === 1}
          onClick={() => put({ hidden: true })}
        >
          {say('show.columnHide')}
        </button>
      </div>
    </>
  )
}
