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
  'eg-head': 'headline',
  'eg-words': 'words',
  'eg-name': 'name',
  'eg-role': 'role',
  'eg-company': 'company',
  'eg-face': 'portrait',
  'eg-on': 'product',
  'eg-date': 'date',
  'eg-proof': 'proof',
  'eg-own': 'own',
  'eg-posted': 'origin',
  'eg-origins': 'summary',
  'eg-business': 'summary',
  'eg-shop': 'summary',
  'eg-language': 'language',
  'eg-answers': 'answers',
  'eg-photos': 'photos',
  'eg-reply': 'reply',
} as const
export type PreviewPart = (typeof partOfClass)[keyof typeof partOfClass] | 'card'

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
    for (const [name, part] of Object.entries(partOfClass))
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
