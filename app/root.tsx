import './zodWithoutEval'
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
import { say } from '../core/messages/say/frame'
import { useDroppedFiles } from './components/useDroppedFiles'
import { Wordmark } from './components/Wordmark'
import { useProblemTranslate, type ProblemTranslate, type Speech } from './public/speech'
import { problemSpeechFor } from './public/speechFor'
import { storageFaultIn, storageWords } from './storageProblem'
import { themeIn, themeName } from './theme'
import './app.css'

export const links: Route.LinksFunction = () => [{ rel: 'icon', href: '/favicon.svg', type: 'image/svg+xml' }]

export function loader({ request }: Route.LoaderArgs) {
  return { theme: themeIn(request.headers.get('Cookie')), problemSpeech: problemSpeechFor(request) }
}

export function Layout({ children }: { children: ReactNode }) {
  const chosen = useRouteLoaderData<typeof loader>('root')?.theme ?? 'system'
  // A customer's page uses the shop's light colours at any time.
  const { pathname } = useLocation()
  const ofShop = pathname.startsWith('/f/') || /\/gather\/forms\/[^/]+\/page$/.test(pathname)
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

/** The language that the loader of a customer's page chose; all other pages are English. */
function usePageLanguage(): string {
  const problem = useRouteLoaderData<typeof loader>('root')?.problemSpeech?.language
  const spoken = useMatches().map(({ loaderData }) => (loaderData as { speech?: Speech } | undefined)?.speech)
  return spoken.find((speech) => speech)?.language ?? problem ?? 'en'
}

export default function Root() {
  useDroppedFiles()
  return <Outlet />
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  const translate = useProblemTranslate()
  const { title, hint } = translate ? customerProblem(error, translate) : ownerProblem(error)
  return (
    <main className="mx-auto flex min-h-dvh max-w-xl flex-col justify-center gap-4 p-6">
      <title>{`${title} · Elogio`}</title>
      <Wordmark className="text-petrol" />
      <h1>{title}</h1>
      <p className="text-soft">{hint}</p>
      {!translate && (
        <p>
          <Link to="/" className="btn btn-primary">
            {say('error.home')}
          </Link>
        </p>
      )}
    </main>
  )
}

const isForbidden = (error: unknown) => isRouteErrorResponse(error) && error.status === 403
const isMissing = (error: unknown) => isRouteErrorResponse(error) && error.status === 404

function ownerProblem(error: unknown) {
  if (isMissing(error)) return { title: say('error.notFound'), hint: say('error.notFoundHint') }
  if (isForbidden(error)) return { title: say('error.forbidden'), hint: say('error.forbiddenHint') }
  const storage = storageWords(error)
  if (storage) return { title: say('error.storage.title'), hint: storage }
  return { title: say('error.title'), hint: say('error.unexpected') }
}

function customerProblem(error: unknown, translate: ProblemTranslate) {
  if (isMissing(error))
    return { title: translate('problem.notFound'), hint: translate('problem.notFoundHint') }
  const title = translate(storageFaultIn(error) ? 'problem.notSavedTitle' : 'problem.title')
  return { title, hint: translate('problem.unexpected') }
}
