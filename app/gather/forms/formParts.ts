import type { ProductChoices } from '../../../server/collection/productChoices'
import { formFields, type FormField } from '../../../core/form/fields'
import { couponOf } from '../../../core/form/coupon'
import type { FormDesign } from '../../../core/form/design'
import type { Writers } from '../../../core/intake/writers'

/** What can be changed of a form, in the order of the page; a question is `question:ID`. */
export const formParts = [
  'picture',
  'heading',
  'intro',
  ...formFields,
  'coupon',
  'consent',
  'button',
] as const
export const otherParts = ['colour', 'thanks', 'closed'] as const
/** What is done with a form, beside its settings. */
export const formUses = ['try', 'place', 'came'] as const
export type FormUsePart = (typeof formUses)[number]
export type FormPart =
  | FormUsePart
  | (typeof formParts)[number]
  | (typeof otherParts)[number]
  | 'writers'
  | 'arrivals'
  | `question:${string}`

export interface PartProps {
  draft: FormDesign
  change: (changed: FormDesign) => void
  /** Who can write makes some fields necessary. */
  writers: Writers
}

/** What the settings of a part are given. */
export interface PanelProps extends PartProps {
  part: FormPart
  shopColour: string
  products: ProductChoices
}

/** Whether a part is a field that customers fill in. */
export const isField = (part: FormPart): part is FormField =>
  (formFields as readonly FormPart[]).includes(part)

export const isUse = (part: FormPart | null): part is FormUsePart =>
  part !== null && (formUses as readonly FormPart[]).includes(part)

/** Parts that can be left out, and whether they are asked for. */
export const isShown = (draft: FormDesign, part: (typeof formParts)[number]): boolean | null => {
  switch (part) {
    case 'photos':
      return draft.photos.most > 0
    case 'picture':
      return draft.picture.name !== ''
    case 'coupon':
      return couponOf(draft) !== ''
    case 'intro':
      return draft.intro.length > 0
    default: {
      const design: object = isField(part) ? draft[part] : {}
      return 'shown' in design ? design.shown === true : null
    }
  }
}
