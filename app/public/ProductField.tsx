import { getInputProps, getSelectProps, type FieldMetadata } from '@conform-to/react'
import { useState } from 'react'
import { productLabels } from '../../core/intake/productLabels'
import { useFound } from '../components/useFound'
import { useTranslate } from './speech'

interface Product {
  sku: string
  title: string
}

/**
 * The products on offer as a list; of many the most used ones as suggestions for a text, which the server finds by its
 * title. That works without scripts too.
 */
export function ProductField({
  field,
  products,
  isPart,
  required,
  address,
}: {
  field: FieldMetadata<string>
  products: Product[]
  isPart: boolean
  required: boolean
  /** Where more are found; null in the editor of the form. */
  address: string | null
}) {
  const translate = useTranslate()
  const { found, lookUp } = useFound<Product>(isPart ? address : null, products)
  const described = { ariaDescribedBy: required ? undefined : field.descriptionId }
  const [initial] = useState(() => products.find(({ sku }) => sku === field.initialValue)?.title)
  if (!isPart)
    return (
      <select
        {...getSelectProps(field, described)}
        key={field.key}
        className="select w-full border-edge text-[15px]"
      >
        <option value="">{translate('form.productNone')}</option>
        {products.map(({ sku, title }) => (
          <option key={sku} value={sku}>
            {title}
          </option>
        ))}
      </select>
    )
  const list = `${field.id}-list`
  return (
    <>
      <input
        {...getInputProps(field, { type: 'text', ...described })}
        {...(initial !== undefined && { defaultValue: initial })}
        key={field.key}
        list={list}
        autoComplete="off"
        placeholder={translate('form.productSearch')}
        className="input w-full border-edge text-[15px]"
        onChange={(event) => lookUp(event.currentTarget.value)}
      />
      <datalist id={list}>
        {[...productLabels(found).keys()].map((label) => (
          <option key={label} value={label} />
        ))}
      </datalist>
    </>
  )
}
