import type { KeyboardEvent, Ref } from 'react'
import type { ProductChoices } from '../../server/collection/productChoices'

export interface ProductSelectProps {
  choices: ProductChoices
  /** The chosen product by its key; empty for none. */
  value: string
  /** What identifies a product. */
  by?: 'sku' | 'publicId'
  /** The words of the empty choice; without them a product has to be chosen. */
  none?: string
  /** What stands there while nothing is chosen. */
  placeholder?: string
  /** Sent with the form. */
  name?: string
  choose?: (key: string) => void
  /** Numbers of matches, by key. */
  counts?: Record<string, number>
  className?: string
  disabled?: boolean
  id?: string
  'aria-label'?: string
  'aria-describedby'?: string
  'aria-invalid'?: true
  fieldRef?: Ref<HTMLSelectElement & HTMLInputElement>
}

export const blurOnEscape = (event: KeyboardEvent<HTMLElement>) =>
  event.key === 'Escape' && event.currentTarget.blur()
