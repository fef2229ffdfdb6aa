import {
  isRouteErrorResponse,
  Link,
  Links,
  Meta,
  Outlet,
  Scripts,
  ScrollRestoration,
  useLocation,
  useMatches,
  useRouteLoaderData,
} from 'react-router'
import type { ReactNode } from 'react'
import type { Route } from './+types/root'
import { say } from '../core/messages/say'
import { Wordmark } from './components/Wordmark'
import { useRequestTranslate, type Speech } from './public/speech'
import { problemSpeechFor } from './public/speechFor'
import { storageWords } from './storageProblem'
import { themeIn, themeName } from './theme'
import './app.css'

export const links: Route.LinksFunction = () => [{ rel: 'icon', href: '/favicon.svg', type: 'image/svg+xml' }]

export function loader({ request }: Route.LoaderArgs) {
  return { theme: themeIn(request.headers.get('Cookie')), problemSpeech: problemSpeechFor(request) }
}

export function Layout({ children }: { children: ReactNode }) {
  const chosen = useRouteLoaderData<typeof loader>('root')?.theme ?? 'system'
  // A customer's page has the shop's own light colours, whatever the time of day.
  const ofShop = useLocation().pathname.startsWith('/f/')
  return (
    <html
      lang={usePageLanguage()}
      data-theme={ofShop ? 'elogio' : themeName(chosen)}
      suppressHydrationWarning
    >
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <Meta />
        <Links />
      </head>
      <body>
        {children}
        <ScrollRestoration />
        <Scripts />
      </body>
    </html>
  )
}

/** The language of a customer's page, which its loader chose; everything else is English. */
function usePageLanguage(): string {
  const problem = useRouteLoaderData<typeof loader>('root')?.problemSpeech?.language
  const spoken = useMatches().map(({ loaderData }) => (loaderData as { speech?: Speech } | undefined)?.speech)
  return spoken.find((speech) => speech)?.language ?? problem ?? 'en'
}

export default function Root() {
  return <Outlet />
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  const translate = useRequestTranslate()
  const forCustomer = useRouteLoaderData<typeof loader>('root')?.problemSpeech !== null
  const missing = isRouteErrorResponse(error) && error.status === 404
  const storage = storageWords(error)
  const title = translate(missing ? 'problem.notFound' : storage ? 'problem.notSavedTitle' : 'problem.title')
  const hint = missing ? translate('problem.notFoundHint') : translate('problem.unexpected')
  return (
    <main className="mx-auto flex min-h-dvh max-w-xl flex-col justify-center gap-4 p-6">
      <title>{`${title} · Elogio`}</title>
      <Wordmark className="text-petrol" />
      <h1>{title}</h1>
      <p className="text-soft">{(!forCustomer && storage) || hint}</p>
      {!forCustomer && (
        <p>
          <Link to="/" className="btn btn-primary">
            {say('error.home')}
          </Link>
        </p>
      )}
    </main>
  )
}
