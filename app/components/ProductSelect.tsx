import { lazy, Suspense } from 'react'
import { blurOnEscape, type ProductSelectProps } from './productSelectProps'

// Only large shops have so many products.
const ProductSearch = lazy(() => import('./ProductSearch'))

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
