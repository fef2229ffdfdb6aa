import { sources as allSources } from '../../../core/intake/sourcePolicy'
import { languageName } from '../../../core/messages/languageName'
import { say } from '../../../core/messages/say/show'
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
  if (choices.length === 0) return <p className="text-soft">{say('show.noTags')}</p>
  return (
    <Checkboxes
      label={say('display.part.tags')}
      chosen={tags}
      choices={choices.map((tag) => ({ value: tag, words: tag, count: counts[tag] ?? 0 }))}
      choose={(chosen) => changing(props, 'selection')({ tags: chosen })}
    />
  )
}

export function SourcesStrip(props: StripProps) {
  const { sources } = props.draft.selection
  return (
    <Checkboxes
      label={say('display.part.sources')}
      chosen={sources}
      choices={allSources.map((source) => ({
        value: source,
        words: say(`display.source.${source}`),
        count: props.view.facets.sources[source] ?? 0,
      }))}
      choose={(chosen) =>
        changing(
          props,
          'selection',
        )({
          sources: allSources.filter((source) => chosen.includes(source)),
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

export function VerifiedStrip(props: StripProps) {
  return (
    <SwitchLine
      words={`${say('show.onlyVerified')} (${say('show.fits', { count: props.view.facets.verified })})`}
      on={props.draft.selection.verifiedOnly}
      set={(verifiedOnly) => changing(props, 'selection')({ verifiedOnly })}
    />
  )
}

export function WordsStrip(props: StripProps) {
  return (
    <SwitchLine
      words={`${say('show.onlyWithWords')} (${say('show.fits', { count: props.view.facets.hasText })})`}
      on={props.draft.selection.withWords}
      set={(withWords) => changing(props, 'selection')({ withWords })}
    />
  )
}
