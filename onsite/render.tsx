import type { ReactNode } from 'react'
import { renderToStaticMarkup } from 'react-dom/server'
import type { DisplayModel } from '../core/display/displayModel'
import { isTable, layoutTraits, showsReviews, type Behaviour } from '../core/display/layoutTraits'
import { Pages } from './Pages'
import { DisplayView, Items } from './DisplayView'
import { fontsOf } from '../core/display/theme'
import { displayStyles, shadowStyles } from './styles'

export interface RenderedDisplay {
  html: string
  css: string
  behaviours: Behaviour[]
}

/** @param addresses of the modules */
export function renderDisplay(
  model: DisplayModel,
  addresses: Partial<Record<Behaviour, string>> = {},
): RenderedDisplay {
  const behaviours = behavioursOf(model)
  const modules = behaviours.flatMap((name) => addresses[name] ?? []).join(' ')
  const html = renderToStaticMarkup(<DisplayView model={model} modules={modules || undefined} />)
  return { html, css: shadowStyles(model), behaviours: html ? behaviours : [] }
}

function behavioursOf({
  layout,
  quotations,
  heading,
  origins,
  theme,
  paging,
  ownCss,
}: DisplayModel): Behaviour[] {
  const { module: own } = layoutTraits[layout.kind]
  // The rows of a table belong to its columns, so its choices stay links.
  const reads = heading.byOrigin && !isTable(layout.kind) && origins.some(({ here }) => here > 0)
  const photos = showsReviews(layout.kind) && quotations.some((quotation) => quotation.photos.length > 0)
  return [
    ...(quotations.some(({ date }) => date?.isRelative) ? ['dates' as const] : []),
    ...(fontsOf(theme).length > 0 ? ['fonts' as const] : []),
    ...(ownCss ? ['notes' as const] : []),
    ...(own ? [own] : []),
    ...(photos ? ['photos' as const] : []),
    ...(reads ? ['origins' as const] : []),
    ...(paging && paging.pages > 1 ? ['pages' as const] : []),
  ]
}

export interface PageLook {
  background: string
  textColour: string
  fonts: string
}

/** Until the font has arrived, fonts of the device are used with its metrics (`app/fallbackFonts.css`). */
const pageStyles = ({ background, textColour, fonts }: PageLook) =>
  `@font-face{font-family:"Literata Variable";src:url(/fonts/literata.woff2) format("woff2");font-weight:200 900;font-display:optional}
@font-face{font-family:"Like Georgia";src:local("Georgia");ascent-override:109.3141%;descent-override:28.6056%;line-gap-override:0%;size-adjust:107.6714%}
@font-face{font-family:"Like Noto";src:local("Noto Serif Regular"),local("NotoSerif-Regular");ascent-override:117.9452%;descent-override:30.8642%;line-gap-override:0%;size-adjust:99.7921%}
@font-face{font-family:"Like DejaVu";src:local("DejaVu Serif"),local("DejaVuSerif");ascent-override:126.675%;descent-override:33.1486%;line-gap-override:0%;size-adjust:92.9149%}
html{scrollbar-gutter:stable}
body{margin:0;background:${background};color:${textColour};font:17px/1.5 ${fonts || '"Literata Variable","Like Georgia","Like Noto","Like DejaVu",serif'}}
main{max-width:1080px;margin:0 auto;padding:32px 24px 64px}
header{font-weight:700;font-size:1.1em;margin-bottom:2em}
h1{font-size:1.2em;margin:0}`.replace(/\n/g, '')

const ownLook: PageLook = { background: '#f6f9f9', textColour: '#13262c', fonts: '' }

export function renderPage(
  model: DisplayModel,
  {
    look,
    url,
    description,
    picture,
    jsonLd,
    script,
  }: {
    look: PageLook
    url: string
    description: string
    picture: string | null
    jsonLd: string | null
    /** Address of the module of its layout, or null. */
    script: string | null
  },
): string {
  const title = model.title || model.translate('visitor.region', { shop: model.shopName })
  return wholePage({
    lang: model.language,
    title,
    style: pageStyles(look) + displayStyles(model),
    head: (
      <>
        <meta name="description" content={description || title} />
        <meta property="og:title" content={title} />
        {description && <meta property="og:description" content={description} />}
        <meta property="og:url" content={url} />
        {picture && <meta property="og:image" content={picture} />}
        <link rel="canonical" href={url} />
        {jsonLd && <script type="application/ld+json" dangerouslySetInnerHTML={{ __html: jsonLd }} />}
        {/* A module that moves reviews runs before they are painted, where browsers can wait for it. */}
        {fontsOf(model.theme).map((font) => (
          <link
            key={font}
            rel="preload"
            as="font"
            type="font/woff2"
            crossOrigin=""
            href={`${model.fontsUrl}${font}.woff2`}
          />
        ))}
        {script && (
          <script
            type="module"
            src={script}
            {...(layoutTraits[model.layout.kind].module === 'pack' && { blocking: 'render' })}
          />
        )}
      </>
    ),
    children: (
      <>
        <header>
          <h1>{model.title ? model.shopName : title}</h1>
        </header>
        <DisplayView model={model} />
      </>
    ),
  })
}

/** The items of further reviews, for the list of a display that is there. */
export function renderItems(model: DisplayModel): string {
  return renderToStaticMarkup(<Items model={model} />)
}

/** A further page of a display: its items, and the way to the others. */
export function renderPart(model: DisplayModel): string {
  return renderItems(model) + renderToStaticMarkup(<Pages model={model} />)
}

/** A page with one message. */
export function renderMessagePage({
  language,
  title,
  text,
}: {
  language: string
  title: string
  text: string
}): string {
  return wholePage({
    lang: language,
    title,
    style: pageStyles(ownLook),
    children: (
      <>
        <h1>{title}</h1>
        <p>{text}</p>
      </>
    ),
  })
}

function wholePage({
  lang,
  title,
  style,
  head,
  children,
}: {
  lang: string
  title: string
  style: string
  head?: ReactNode
  children: ReactNode
}): string {
  const html = renderToStaticMarkup(
    <html lang={lang}>
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <link rel="icon" href="/favicon.svg" type="image/svg+xml" />
        <title>{title}</title>
        {head}
        <style dangerouslySetInnerHTML={{ __html: style }} />
      </head>
      <body>
        <main>{children}</main>
      </body>
    </html>,
  )
  return `<!doctype html>${html}`
}
