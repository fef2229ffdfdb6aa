import { useId, useState, type Ref } from 'react'
import { useParams } from 'react-router'
import { productLabels } from '../../core/intake/productLabels'
import { say } from '../../core/messages/say/frame'
import type { ProductChoice, ProductChoices } from '../../server/collection/productChoices'
import { useFound } from './useFound'

interface Given {
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
export function ProductSelect({ choices, ...given }: Given) {
  return choices.isPart ? (
    <ProductSearch choices={choices} {...given} />
  ) : (
    <ProductList choices={choices} {...given} />
  )
}

const blurOnEscape = (event: React.KeyboardEvent<HTMLElement>) =>
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
}: Given) {
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

/** A text that names a product is replaced when it is left and names none. */
function ProductSearch({
  choices,
  value,
  by = 'sku',
  none,
  placeholder,
  name,
  choose,
  counts: _,
  className = '',
  fieldRef,
  ...attributes
}: Given) {
  const list = useId()
  const { shop } = useParams()
  const { found, lookUp } = useFound<ProductChoice>(`/s/${shop!}/gather/products/find`, choices.products)
  const [named, setNamed] = useState(choices.products.find((product) => product[by] === value) ?? null)
  const [own, setOwn] = useState(value)
  const chosen = choose ? value : own
  const titleOf = (key: string) =>
    key === ''
      ? (none ?? '')
      : ([named, ...choices.products].find((product) => product?.[by] === key)?.title ?? '')
  const [typed, setTyped] = useState<string | null>(null)
  const labels = productLabels(found)
  const take = (key: string) => {
    setOwn(key)
    setTyped(null)
    choose?.(key)
  }
  const onType = (text: string) => {
    const product = labels.get(text)
    if (product) {
      setNamed(product)
      return take(product[by])
    }
    if (none !== undefined && text === none) return take('')
    setTyped(text)
    lookUp(text)
  }
  return (
    <>
      {name && <input type="hidden" name={name} value={chosen === '?' ? '' : chosen} />}
      <input
        {...attributes}
        ref={fieldRef}
        list={list}
        type="text"
        autoComplete="off"
        placeholder={placeholder ?? say('productSearch')}
        value={typed ?? titleOf(chosen)}
        className={`input border-edge ${className}`}
        onFocus={(event) => event.currentTarget.select()}
        onChange={(event) => onType(event.currentTarget.value)}
        onBlur={() => setTyped(null)}
        onKeyDown={blurOnEscape}
      />
      <datalist id={list}>
        {none !== undefined && <option value={none} />}
        {[...labels].map(([label, { sku }]) => (
          <option key={sku} value={label}>
            {sku}
          </option>
        ))}
      </datalist>
    </>
  )
}
