import type { ReactNode } from 'react'
import { renderToStaticMarkup } from 'react-dom/server'
import type { DisplayModel } from '../core/display/displayModel'
import { say } from '../core/words/say'
import { DisplayView } from './DisplayView'
import { layoutStyles, shadowStyles } from './styles'

/** What a shadow root on somebody else's page is filled with. */
export interface RenderedDisplay {
  html: string
  css: string
}

export function renderDisplay(model: DisplayModel): RenderedDisplay {
  return {
    html: renderToStaticMarkup(<DisplayView model={model} />),
    css: shadowStyles(model.layout, model.accent),
  }
}

const pageStyles =
  `@font-face{font-family:Literata;src:url(/fonts/literata.woff2) format("woff2");font-weight:200 900}
body{margin:0;background:#f6f9f9;color:#13262c;font:17px/1.5 Literata,Georgia,serif}
main{max-width:1080px;margin:0 auto;padding:32px 24px 64px}
header{font-weight:700;font-size:1.1em;margin-bottom:2em}`.replace(/\n/g, '')

/** A display as a whole page of its own, with the one style element that it needs. */
export function renderPage(model: DisplayModel): string {
  return wholePage({
    lang: model.locale,
    title: say('display.page', { shop: model.shopName }),
    style: pageStyles + layoutStyles(model.layout, model.accent),
    children: (
      <>
        <header>
          {model.heading ? model.shopName : <h1>{say('display.page', { shop: model.shopName })}</h1>}
        </header>
        <DisplayView model={model} />
      </>
    ),
  })
}

/** What stands at a display's address while there is nothing live. */
export function renderAbsentPage(): string {
  return wholePage({
    lang: 'en',
    title: say('public.noDisplayTitle'),
    style: pageStyles,
    children: (
      <>
        <h1>{say('public.noDisplayTitle')}</h1>
        <p>{say('public.noDisplay')}</p>
      </>
    ),
  })
}

function wholePage({
  lang,
  title,
  style,
  children,
}: {
  lang: string
  title: string
  style: string
  children: ReactNode
}): string {
  const html = renderToStaticMarkup(
    <html lang={lang}>
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <link rel="icon" href="/favicon.svg" type="image/svg+xml" />
        <title>{title}</title>
        <style dangerouslySetInnerHTML={{ __html: style }} />
      </head>
      <body>
        <main>{children}</main>
      </body>
    </html>,
  )
  return `<!doctype html>${html}`
}
