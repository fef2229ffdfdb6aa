import { useId, useState } from 'react'
import { useParams } from 'react-router'
import { productLabels } from '../../core/intake/productLabels'
import { say } from '../../core/messages/say/frame'
import type { ProductChoice } from '../../server/collection/productChoices'
import { blurOnEscape, type ProductSelectProps } from './productSelectProps'
import { useFound } from './useFound'

/** A text that names a product is replaced when it is left and names none. */
export default function ProductSearch({
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
}: ProductSelectProps) {
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
