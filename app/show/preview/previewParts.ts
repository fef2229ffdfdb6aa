import { reviewParts, switchedParts, type SwitchedPart } from '../../../core/display/reviewParts'

/** Clickable parts by their class; the innermost wins. */
const partOfClass = {
  'eg-column': 'column',
  'eg-title': 'title',
  'eg-line': 'line',
  'eg-write': 'button',
  'eg-button': 'button',
  'eg-steps': 'button',
  'eg-how': 'links',
  'eg-all': 'links',
  'eg-sum': 'summary',
  'eg-whole': 'summary',
  'eg-stars': 'rating',
  'eg-name': 'name',
  'eg-date': 'date',
  'eg-own': 'own',
  'eg-posted': 'origin',
  'eg-origins': 'summary',
  'eg-business': 'summary',
  'eg-shop': 'summary',
} as const
/** The headline of a review is its title; the title here is that of the display. */
type ClickedReviewPart = Exclude<SwitchedPart, 'title' | 'likes'> | 'headline'
export type PreviewPart = (typeof partOfClass)[keyof typeof partOfClass] | ClickedReviewPart | 'card'

const classes: Record<string, PreviewPart> = {
  ...partOfClass,
  ...Object.fromEntries(
    switchedParts.flatMap((part): [string, PreviewPart][] =>
      part === 'likes' ? [] : [[reviewParts[part].css, part === 'title' ? 'headline' : part]],
    ),
  ),
}

/** The part of a review that a clicked part is; undefined if it is none of those. */
export const switchedPartOf = (part: PreviewPart): SwitchedPart | undefined =>
  part === 'headline' ? 'title' : part === 'title' ? undefined : switchedParts.find((one) => one === part)

export interface Clicked {
  part: PreviewPart
  /** The review that contains it. */
  review: string | null
  /** The column of a table, if its heading was clicked. */
  column: string | null
  /** The clicked element's rectangle in the window, in CSS pixels. */
  box: DOMRect
}

/** The clicked part; null if it has no settings. */
export function clickedIn(event: Event): Clicked | null {
  let found: { part: PreviewPart; element: Element } | null = null
  let review: string | null = null
  for (const target of event.composedPath()) {
    const element = target as Element
    if (!element.classList) continue
    for (const [name, part] of Object.entries(classes))
      if (!found && element.classList.contains(name)) found = { part, element }
    if (!found && element.tagName === 'FIGURE') found = { part: 'card', element }
    review ??= element.getAttribute('data-review')
  }
  return (
    found && {
      part: found.part,
      review,
      column: found.element.getAttribute('data-column'),
      box: found.element.getBoundingClientRect(),
    }
  )
}
