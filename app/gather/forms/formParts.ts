import type { FormDesign } from '../../../core/form/design'

/** What can be changed of a form, in the order of the page; a question is `question:ID`. */
export const formParts = [
  'heading',
  'intro',
  'rating',
  'product',
  'orderNumber',
  'title',
  'body',
  'photos',
  'name',
  'email',
  'button',
] as const
export const otherParts = ['colour', 'thanks', 'closed'] as const
export type FormPart =
  (typeof formParts)[number] | (typeof otherParts)[number] | 'writers' | `question:${string}`

export interface PartProps {
  draft: FormDesign
  change: (changed: FormDesign) => void
}

/** Parts that can be left out, and whether they are asked for. */
export const isShown = (draft: FormDesign, part: (typeof formParts)[number]): boolean | null => {
  switch (part) {
    case 'product':
    case 'orderNumber':
    case 'title':
      return draft[part].shown
    case 'photos':
      return draft.photos.most > 0
    case 'intro':
      return draft.intro !== ''
    default:
      return null
  }
}
