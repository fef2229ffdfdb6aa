import { publicSources } from '../../../core/intake/sourcePolicy'
import { languageName } from '../../../core/messages/languageName'
import { say } from '../../../core/messages/say/narrow'
import { SwitchLine } from '../SwitchLine'
import { Checkboxes } from '../Checkboxes'
import { changing, type StripProps } from './stripProps'

/** Choices with reviews, and those chosen before. */
const there = (counts: Record<string, number>, chosen: string[]) => [
  ...new Set([...Object.keys(counts).toSorted((a, b) => counts[b]! - counts[a]!), ...chosen]),
]

export function TagsStrip(props: StripProps) {
  const { tags } = props.draft.selection
  const counts = props.view.facets.tags
  const choices = there(counts, tags)
  if (choices.length === 0) return <p className="text-soft">{say('narrow.noTags')}</p>
  return (
    <Checkboxes
      label={say('display.part.tags')}
      chosen={tags}
      choices={choices.map((tag) => ({ value: tag, words: tag, count: counts[tag] ?? 0 }))}
      choose={(chosen) => changing(props, 'selection')({ tags: chosen })}
    />
  )
}

/** Ways to the shop, other sites in general, and single listings and forms. */
export function SourcesStrip(props: StripProps) {
  const { view, draft } = props
  const { sources, listings, forms } = draft.selection
  const { facets } = view
  const chosenListings = view.listings.filter(
    ({ publicId, isConnected }) =>
      isConnected || listings.includes(publicId) || (facets.listings[publicId] ?? 0) > 0,
  )
  const chosenForms = view.forms.filter(
    ({ publicId }) => forms.includes(publicId) || (facets.forms[publicId] ?? 0) > 0,
  )
  const some = publicSources.filter((source) => source !== 'listing' || chosenListings.length > 0)
  return (
    <Checkboxes
      label={say('display.part.sources')}
      chosen={[...sources, ...listings, ...forms]}
      choices={[
        ...some.map((source) => ({
          value: source as string,
          words: say(`display.source.${source}`),
          count: facets.sources[source] ?? 0,
        })),
        ...chosenListings.map(({ publicId, words }) => ({
          value: publicId,
          words,
          count: facets.listings[publicId] ?? 0,
        })),
        ...chosenForms.map(({ publicId, words }) => ({
          value: publicId,
          words: say('display.throughForm', { form: words }),
          count: facets.forms[publicId] ?? 0,
        })),
      ]}
      choose={(chosen) =>
        changing(
          props,
          'selection',
        )({
          sources: publicSources.filter((source) => chosen.includes(source)),
          listings: chosenListings.map(({ publicId }) => publicId).filter((id) => chosen.includes(id)),
          forms: chosenForms.map(({ publicId }) => publicId).filter((id) => chosen.includes(id)),
        })
      }
    />
  )
}

export function LanguagesStrip(props: StripProps) {
  const { languages } = props.draft.selection
  const counts = props.view.facets.languages
  return (
    <Checkboxes
      label={say('display.part.languages')}
      chosen={languages}
      choices={there(counts, languages).map((tag) => ({
        value: tag,
        words: languageName(tag),
        count: counts[tag] ?? 0,
      }))}
      choose={(chosen) => changing(props, 'selection')({ languages: chosen })}
    />
  )
}

const onlyStrip =
  (part: 'verifiedOnly' | 'withWords' | 'withPhotos', facet: 'verified' | 'hasText' | 'hasPhoto') =>
  (props: StripProps) => (
    <SwitchLine
      words={`${say(`narrow.only.${part}`)} (${say('show.fits', { count: props.view.facets[facet] })})`}
      on={props.draft.selection[part]}
      set={(on) => changing(props, 'selection')({ [part]: on })}
    />
  )
export const VerifiedStrip = onlyStrip('verifiedOnly', 'verified')
export const WordsStrip = onlyStrip('withWords', 'hasText')
export const PhotosStrip = onlyStrip('withPhotos', 'hasPhoto')

/** The first and the last day on which the reviews were written. */
export function WrittenStrip(props: StripProps) {
  const { writtenFrom, writtenUntil } = props.draft.selection
  const set = changing(props, 'selection')
  const day = (
    words: string,
    value: string,
    limits: { min?: string; max?: string },
    put: (day: string) => void,
  ) => (
    <label className="flex items-center gap-2">
      {words}
      <input
        type="date"
        className="input input-sm w-auto border-edge"
        value={value}
        {...limits}
        onChange={(event) => put(event.currentTarget.value)}
      />
    </label>
  )
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
      {day(say('narrow.from'), writtenFrom, { max: writtenUntil || undefined }, (from) =>
        set({ writtenFrom: from }),
      )}
      {day(say('narrow.until'), writtenUntil, { min: writtenFrom || undefined }, (until) =>
        set({ writtenUntil: until }),
      )}
      <span className="text-[13px] text-soft">{say('show.fits', { count: props.view.facets.all })}</span>
      {(writtenFrom || writtenUntil) && (
        <button type="button" className="part" onClick={() => set({ writtenFrom: '', writtenUntil: '' })}>
          {say('narrow.anyDate')}
        </button>
      )}
    </div>
  )
}
