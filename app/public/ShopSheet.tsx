import type { CSSProperties, ReactNode } from 'react'
import { useLocation } from 'react-router'
import type { BrandShades } from '../../core/display/brand'
import type { CustomerTranslate } from '../../core/messages/customers/customerMessages'
import type { SheetLook } from '../../core/form/sheetLook'
import { isFramedForm } from './framed'
import { TranslateContext } from './speech'

/** The frame of every page that customers see: the shop's colours and its name. */
export function ShopSheet({
  shop: { name, logo, shades },
  title,
  description = title,
  translate,
  children,
}: {
  shop: { name: string; logo: string | null; shades: BrandShades & Partial<SheetLook> }
  title: string
  /** For search engines and link previews. */
  description?: string
  translate: CustomerTranslate
  children: ReactNode
}) {
  const framed = isFramedForm(useLocation().pathname)
  const style = {
    '--shop-fill': shades.fill,
    '--shop-on-fill': shades.onFill,
    '--shop-edge': shades.edge,
    '--shop-button': shades.button,
    '--sheet-corners': shades.corners === undefined ? undefined : `${shades.corners}px`,
    background: shades.background,
  } as CSSProperties
  // In a frame, the page around it has its name and its background.
  if (framed)
    return (
      <div className="sheet framed" style={{ ...style, background: 'none' }}>
        <title>{`${title} · ${name}`}</title>
        <main className="rounded-(--sheet-corners,18px) border border-line bg-paper px-5 py-5 sm:px-8">
          <TranslateContext value={translate}>{children}</TranslateContext>
        </main>
      </div>
    )
  return (
    <div className="sheet min-h-dvh sm:py-6" style={style}>
      <title>{`${title} · ${name}`}</title>
      <meta name="description" content={`${name}: ${description}`} />
      <main className="min-h-dvh bg-paper px-6 py-6 sm:mx-auto sm:min-h-0 sm:max-w-[640px] sm:rounded-(--sheet-corners,18px) sm:border sm:border-line sm:px-10 sm:pb-9">
        <header className="mb-5 flex items-center gap-2.5 text-[15px] font-semibold">
          {logo && <img src={logo} alt="" className="size-7" />}
          {name}
        </header>
        <TranslateContext value={translate}>{children}</TranslateContext>
      </main>
    </div>
  )
}
