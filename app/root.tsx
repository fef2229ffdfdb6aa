import {
  isRouteErrorResponse,
  Link,
  Links,
  Meta,
  Outlet,
  Scripts,
  ScrollRestoration,
  useLocation,
  useRouteLoaderData,
} from 'react-router'
import type { ReactNode } from 'react'
import type { Route } from './+types/root'
import { say } from '../core/words/say'
import { Wordmark } from './components/Wordmark'
import { storageWords } from './storageProblem'
import { themeIn, themeName } from './theme'
import './app.css'

export const links: Route.LinksFunction = () => [{ rel: 'icon', href: '/favicon.svg', type: 'image/svg+xml' }]

export function loader({ request }: Route.LoaderArgs) {
  return { theme: themeIn(request.headers.get('Cookie')) }
}

export function Layout({ children }: { children: ReactNode }) {
  const chosen = useRouteLoaderData<typeof loader>('root')?.theme ?? 'system'
  // A customer's page wears the shop's own light colours, whatever the time of day.
  const ofShop = useLocation().pathname.startsWith('/f/')
  return (
    <html lang="en" data-theme={ofShop ? 'elogio' : themeName(chosen)} suppressHydrationWarning>
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

export default function Root() {
  return <Outlet />
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  const missing = isRouteErrorResponse(error) && error.status === 404
  const storage = storageWords(error)
  const title = say(missing ? 'error.notFound' : storage ? 'error.storage.title' : 'error.title')
  return (
    <main className="mx-auto flex min-h-dvh max-w-xl flex-col justify-center gap-4 p-6">
      <title>{`${title} · Elogio`}</title>
      <Wordmark className="text-petrol" />
      <h1>{title}</h1>
      <p className="text-soft">{storage ?? say(missing ? 'error.notFoundHint' : 'error.unexpected')}</p>
      <p>
        <Link to="/" className="btn btn-primary">
          {say('error.home')}
        </Link>
      </p>
    </main>
  )
}
