import { lazy, Suspense, type Ref } from 'react'
import type { ProductChoices } from '../../server/collection/productChoices'

// Only large shops have so many products.
const ProductSearch = lazy(() => import('./ProductSearch'))

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

/** Chooses one product: from a list if all fit into it, otherwise by typing a part of its name. */
export function ProductSelect({ choices, ...given }: ProductSelectProps) {
  return choices.isPart ? (
    <Suspense fallback={<span className={`input border-edge ${given.className ?? ''}`} />}>
      <ProductSearch choices={choices} {...given} />
    </Suspense>
  ) : (
    <ProductList choices={choices} {...given} />
  )
}

export const blurOnEscape = (event: React.KeyboardEvent<HTMLElement>) =>
  event.key === 'Escape' && event.currentTarget.blur()

function ProductList({
  choices,
  value,
  by = 'sku',
  none,
  placeholder,
  choose,
  counts,
  className = '',
  fieldRef,
  ...attributes
}: ProductSelectProps) {
  return (
    <select
      {...attributes}
      ref={fieldRef}
      className={`select border-edge ${className}`}
      required={none === undefined}
      {...(choose
        ? { value, onChange: (event) => choose(event.currentTarget.value) }
        : { defaultValue: value })}
      onKeyDown={blurOnEscape}
    >
      {placeholder !== undefined && (
        <option value="?" disabled>
          {placeholder}
        </option>
      )}
      {none !== undefined && <option value="">{none}</option>}
      {choices.products.map((product) => (
        <option key={product.sku} value={product[by]}>
          {product.title}
          {counts ? ` (${counts[product[by]] ?? 0})` : by === 'publicId' ? ` (${product.sku})` : ''}
        </option>
      ))}
    </select>
  )
}
