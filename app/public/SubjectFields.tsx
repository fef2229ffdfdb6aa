import type { FieldMetadata } from '@conform-to/react'
import type { WordedField } from '../../core/form/fields'
import type { ShownDesign } from '../../core/form/translation'
import { Labelled } from './Labelled'
import { LineField } from './LineField'
import { ProductField } from './ProductField'
import { useTranslate } from './speech'

export interface OfferedProduct {
  sku: string
  title: string
}

/** What a review is about: the product, and the order that proves it was bought. */
export function SubjectFields({
  fields,
  design,
  labels,
  products,
  fixedProduct,
  findProducts,
}: {
  fields: Record<'product' | 'order_number', FieldMetadata<string | undefined>>
  design: ShownDesign
  labels: Record<WordedField, string>
  products: { products: OfferedProduct[]; isPart: boolean }
  fixedProduct: OfferedProduct | null
  /** Where products are looked up; null in the editor of the form. */
  findProducts: string | null
}) {
  const translate = useTranslate()
  const { orderNumber } = design
  const { required } = design.product
  return (
    <div className="grid gap-4 empty:hidden sm:grid-cols-2 sm:gap-5">
      {fixedProduct ? (
        <input type="hidden" name="product" value={fixedProduct.sku} />
      ) : design.product.shown && products.products.length > 0 ? (
        <Labelled
          field={fields.product}
          label={labels.product}
          hint={required ? undefined : translate('form.optional')}
          light={!required}
          part="product"
        >
          <ProductField field={fields.product} {...products} required={required} address={findProducts} />
        </Labelled>
      ) : null}
      <LineField
        field={fields.order_number}
        label={labels.orderNumber}
        shown={orderNumber.shown}
        required={orderNumber.required}
        part="orderNumber"
        autoComplete="off"
      />
    </div>
  )
}
