import { useEffect, useRef } from 'react'
import { ThemeStrip } from './ThemeStrip'
import { LayoutStrip } from './LayoutStrip'
import { MoreStrip } from './MoreStrip'
import {
  LanguagesStrip,
  PhotosStrip,
  SourcesStrip,
  TagsStrip,
  VerifiedStrip,
  WordsStrip,
  WrittenStrip,
} from './NarrowStrips'
import { NumberStrip, OrderStrip, ProductsStrip, RatingsStrip } from './PickStrips'
import { PartsStrip } from './PartsStrip'
import { PlaceStrip } from './PlaceStrip'
import type { StripProps } from './stripProps'
import { TitleStrip } from './TitleStrip'
import type { OpenPart } from '../Sentence'

const strips: Record<OpenPart, (props: StripProps) => React.ReactNode> = {
  limit: NumberStrip,
  ratings: RatingsStrip,
  products: ProductsStrip,
  tags: TagsStrip,
  sources: SourcesStrip,
  languages: LanguagesStrip,
  verifiedOnly: VerifiedStrip,
  withWords: WordsStrip,
  withPhotos: PhotosStrip,
  written: WrittenStrip,
  order: OrderStrip,
  layout: LayoutStrip,
  theme: ThemeStrip,
  placement: PlaceStrip,
  title: TitleStrip,
  more: MoreStrip,
  parts: PartsStrip,
}

/** The settings of one part of the sentence, below it. */
export default function Strip({ part, close, ...props }: StripProps & { part: OpenPart; close: () => void }) {
  const box = useRef<HTMLDivElement>(null)
  const Part = strips[part]
  useEffect(() => {
    box.current?.querySelector<HTMLElement>('input:checked, input, button')?.focus()
  }, [part])
  return (
    <div
      ref={box}
      id="strip"
      className="mt-1.5"
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return
        close()
        const opener = document.querySelector<HTMLElement>(`[data-part="${part}"]`)
        ;(opener ?? document.querySelector<HTMLElement>('[data-part=more]'))?.focus()
      }}
    >
      <Part {...props} />
    </div>
  )
}
