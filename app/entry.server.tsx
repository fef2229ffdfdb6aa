import { createReadableStreamFromReadable } from '@react-router/node'
import { PassThrough } from 'node:stream'
import { text } from 'node:stream/consumers'
import { renderToPipeableStream } from 'react-dom/server'
import {
  isRouteErrorResponse,
  ServerRouter,
  type AppLoadContext,
  type EntryContext,
  type HandleErrorFunction,
} from 'react-router'
import { loadsScriptsLater, withLaterScripts } from './laterScripts'
import { storageFaultIn } from './storageProblem'

const GIVE_UP_MS = 10_000

export default function handleRequest(
  request: Request,
  status: number,
  headers: Headers,
  routerContext: EntryContext,
  context: AppLoadContext,
): Promise<Response> {
  // In development, the framework inserts styles without a nonce.
  const nonce = import.meta.env.PROD ? context.nonce : undefined
  headers.set('Content-Type', 'text/html; charset=utf-8')
  headers.set('Cache-Control', 'private, no-store')
  if (nonce)
    headers.set('Content-Security-Policy', policyFor(nonce, isInEditor(request.url) ? "'self'" : "'none'"))
  return new Promise((resolve, reject) => {
    // The whole page is sent at once, because streamed parts never appear without scripts.
    const { pipe, abort } = renderToPipeableStream(
      <ServerRouter context={routerContext} url={request.url} nonce={nonce} />,
      {
        nonce,
        onAllReady() {
          const body = new PassThrough()
          if (nonce && loadsScriptsLater(request.url))
            text(body).then(
              (html) => resolve(new Response(withLaterScripts(html, nonce), { headers, status })),
              reject,
            )
          else resolve(new Response(createReadableStreamFromReadable(body), { headers, status }))
          pipe(body)
        },
        onShellError: reject,
        onError(error) {
          context.log.error({ err: error }, 'a page could not be rendered')
        },
      },
    )
    setTimeout(abort, GIVE_UP_MS).unref()
  })
}

/** Logs unexpected errors of loaders and actions. */
export const handleError: HandleErrorFunction = (error, { request, context }) => {
  if (request.signal.aborted || isRouteErrorResponse(error) || storageFaultIn(error)) return
  context.log.error({ err: error }, 'a route failed')
}

/** Allows only scripts and styles with this answer's nonce. */
function policyFor(nonce: string, framedBy: "'none'" | "'self'"): string {
  return [
    "default-src 'self'",
    `script-src 'nonce-${nonce}' 'strict-dynamic'`,
    `style-src 'self' 'nonce-${nonce}'`,
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' data:",
    "worker-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    `frame-ancestors ${framedBy}`,
  ].join('; ')
}

/** The page of a form's draft stands in a frame of our own editor; no other page does. */
const isInEditor = (url: string) => /^\/s\/[^/]+\/gather\/forms\/[^/]+\/page$/.test(new URL(url).pathname)
