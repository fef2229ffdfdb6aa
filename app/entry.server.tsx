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
import { isFramedForm, withHeight } from './public/framed'
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
  const { pathname } = new URL(request.url)
  const [later, framed] = [loadsScriptsLater(request.url), isFramedForm(pathname)]
  if (nonce) headers.set('Content-Security-Policy', policyFor(nonce, framesOf(pathname)))
  return new Promise((resolve, reject) => {
    // The whole page is sent at once, because streamed parts never appear without scripts.
    const { pipe, abort } = renderToPipeableStream(
      <ServerRouter context={routerContext} url={request.url} nonce={nonce} />,
      {
        nonce,
        onAllReady() {
          const body = new PassThrough()
          if (nonce && (later || framed))
            text(body).then((html) => {
              const told = framed ? withHeight(html, nonce) : html
              resolve(new Response(later ? withLaterScripts(told, nonce) : told, { headers, status }))
            }, reject)
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
function policyFor(nonce: string, framedBy: string): string {
  return [
    "default-src 'self'",
    `script-src 'nonce-${nonce}' 'strict-dynamic'`,
    `style-src 'self' 'nonce-${nonce}'`,
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' data:",
    // A customer's video is looked at before it is sent.
    "media-src 'self' blob:",
    "worker-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    `frame-ancestors ${framedBy}`,
  ].join('; ')
}

/**
 * Who may show a page in a frame: every site a customer's form, and our own editor the draft of one. Nobody is signed in
 * on a form, so that a page around it gains nothing.
 */
function framesOf(pathname: string): string {
  if (isFramedForm(pathname)) return '*'
  return /^\/s\/[^/]+\/gather\/forms\/[^/]+\/page$/.test(pathname) ? "'self'" : "'none'"
}
