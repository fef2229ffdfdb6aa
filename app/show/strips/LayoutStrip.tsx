import {
  edgeSides,
  speeds,
  layouts,
  LONGEST_AUTOPLAY,
  MOST_COLUMNS,
  pagings,
  type Layout,
} from '../../../core/display/choices'
import { isAtEdge, isSmall, isTable, layoutTraits, showsReviews } from '../../../core/display/layoutTraits'
import { say } from '../../../core/messages/say/show'
import type { RenderedDisplay } from '../../../onsite/render'
import { ShadowHtml } from '../../components/ShadowHtml'
import { Checkboxes } from '../Checkboxes'
import { Choices } from '../Choices'
import { SelectLine } from '../SelectLine'
import { Slider } from '../Slider'
import { SwitchLine } from '../SwitchLine'
import { useMiniatures } from '../useMiniatures'
import { changing, type StripProps } from './stripProps'

export function LayoutStrip(props: StripProps) {
  const { draft, view } = props
  const set = changing(props, 'layout')
  const miniatures = useMiniatures()
  return (
    <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
      <Choices
        name="layout"
        label={say('display.part.layout')}
        value={draft.layout.kind}
        tight
        choices={layouts.map((kind) => ({
          value: kind,
          words: say(`display.layoutShort.${kind}`),
          picture: <Miniature look={view.look} layout={kind} display={miniatures?.[kind]} />,
        }))}
        choose={(kind) => set({ kind })}
      />
      <Finer {...props} />
    </div>
  )
}

function Miniature({
  look: { background, textColour, fonts },
  layout,
  display,
}: {
  look: StripProps['view']['look']
  layout: Layout
  display: RenderedDisplay | undefined
}) {
  return (
    <span
      className="block h-[42px] w-[84px] overflow-hidden rounded-md border border-line text-left"
      style={{ background, color: textColour, fontFamily: fonts || undefined }}
      inert
    >
      {display && (
        <ShadowHtml
          {...display}
          className={
            isSmall(layout)
              ? 'grid h-[84px] w-[168px] origin-top-left scale-50 place-items-center text-[16px]'
              : 'w-[336px] origin-top-left scale-[0.25] p-3 text-[22px]'
          }
        />
      )}
    </span>
  )
}

/** Which columns a table shows; the rest is set on their headings in the preview. */
function Columns(props: StripProps) {
  const { tableColumns } = props.view
  const set = changing(props, 'layout')
  if (tableColumns.length === 0) return null
  return (
    <div className="basis-full">
      <p className="pb-1 text-[13px] text-soft">{say('show.tableColumns')}</p>
      <Checkboxes
        label={say('display.part.tableColumns')}
        choices={tableColumns.map(({ key, words }) => ({ value: key, words }))}
        chosen={tableColumns.filter(({ hidden }) => !hidden).map(({ key }) => key)}
        choose={(keys) =>
          set({
            tableColumns: tableColumns.map(({ key, heading, setOff }) => ({
              key,
              heading,
              setOff,
              hidden: !keys.includes(key),
            })),
          })
        }
      />
    </div>
  )
}

/** The settings of the chosen layout. */
function Finer(props: StripProps) {
  const { layout, theme } = props.draft
  const set = changing(props, 'layout')
  if (!showsReviews(layout.kind)) return null
  if (isTable(layout.kind)) return <Columns {...props} />
  const { columns, motion, paged } = layoutTraits[layout.kind]
  return (
    <div className="flex max-h-20 flex-col flex-wrap justify-center gap-x-6">
      {columns && (
        <Slider
          label={say('show.columnsMost')}
          value={layout.columns}
          words={String(layout.columns)}
          min={1}
          max={MOST_COLUMNS}
          set={(columns) => set({ columns })}
        />
      )}
      <Slider
        label={say('show.density')}
        value={theme.density}
        words={`${theme.density}%`}
        min={40}
        max={200}
        step={10}
        set={(density) => changing(props, 'theme')({ density })}
      />
      {isAtEdge(layout.kind) && (
        <SelectLine
          label={say('display.part.edgeSide')}
          value={layout.edgeSide}
          choices={edgeSides.map((one) => [one, say(`display.edgeSide.${one}`)])}
          choose={(edgeSide) => set({ edgeSide })}
        />
      )}
      {paged && (
        <SelectLine
          label={say('display.part.paging')}
          value={layout.paging}
          choices={pagings.map((one) => [one, say(`display.paging.${one}`)])}
          choose={(paging) => set({ paging })}
        />
      )}
      {motion !== 'none' && (
        <>
          {motion === 'several' && (
            <Slider
              label={say('show.step')}
              value={layout.step}
              words={layout.step === 0 ? say('show.allSeen') : String(layout.step)}
              min={0}
              max={MOST_COLUMNS}
              set={(step) => set({ step })}
            />
          )}
          <Slider
            label={say('show.autoplay')}
            value={layout.autoplay}
            words={
              layout.autoplay === 0 ? say('show.never') : say('show.seconds', { count: layout.autoplay })
            }
            min={0}
            max={LONGEST_AUTOPLAY / 2}
            set={(autoplay) => set({ autoplay })}
          />
          <SelectLine
            label={say('preview.speed')}
            value={layout.speed}
            choices={speeds.map((one) => [one, say(`display.speed.${one}`)])}
            choose={(speed) => set({ speed })}
          />
          <SwitchLine words={say('show.arrows')} on={layout.arrows} set={(arrows) => set({ arrows })} />
          <SwitchLine words={say('show.dots')} on={layout.dots} set={(dots) => set({ dots })} />
        </>
      )}
    </div>
  )
}
