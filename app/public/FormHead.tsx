import type { FormDesign } from '../../core/form/design'
import { RichText } from './RichText'
import { useTranslate } from './speech'

/** Heading and text of a form, and the product that it is about. */
export function FormHead({
  design: { heading, intro, picture },
  product,
}: {
  design: Pick<FormDesign, 'heading' | 'intro' | 'picture'>
  product: { title: string; picture: string | null } | null
}) {
  const translate = useTranslate()
  return (
    <>
      {picture.name && (
        <img
          src={`/media/${picture.name}`}
          alt={picture.alt}
          data-part="picture"
          className="mb-4 max-h-72 w-full rounded-lg object-cover"
        />
      )}
      <h1 className="text-[26px] leading-tight" data-part="heading" dir="auto">
        {heading || translate('form.heading')}
      </h1>
      {intro.length > 0 && (
        <div className="mt-1 text-[15px] text-soft" data-part="intro" dir="auto">
          <RichText text={intro} />
        </div>
      )}
      {product && (
        <p className="mt-3 flex items-center gap-3 text-[15px]">
          {product.picture && <img src={`/media/${product.picture}`} alt="" className="size-14 rounded-lg" />}
          <b className="font-semibold">{product.title}</b>
        </p>
      )}
    </>
  )
}
