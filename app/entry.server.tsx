import { createReadableStreamFromReadable } from '@react-router/node'
import { PassThrough } from 'node:stream'
import { renderToPipeableStream } from 'react-dom/server'
import {
  isRouteErrorResponse,
  ServerRouter,
  type AppLoadContext,
  type EntryContext,
  type HandleErrorFunction,
} from 'react-router'
import { storageFaultIn } from './storageProblem'

const GIVE_UP_MS = 10_000

export default function handleRequest(
  request: Request,
  status: number,
  headers: Headers,
  routerContext: EntryContext,
  context: AppLoadContext,
): Promise<Response> {
  // While developing, the framework's own styles come and go without a nonce, and no policy asks for one.
  const nonce = import.meta.env.PROD ? context.nonce : undefined
  headers.set('Content-Type', 'text/html; charset=utf-8')
  headers.set('Cache-Control', 'private, no-store')
  if (nonce) headers.set('Content-Security-Policy', policyFor(nonce))
  return new Promise((resolve, reject) => {
    // Whole pages only: what streams in later never appears for people without scripts.
    const { pipe, abort } = renderToPipeableStream(
      <ServerRouter context={routerContext} url={request.url} nonce={nonce} />,
      {
        nonce,
        onAllReady() {
          const body = new PassThrough()
          resolve(new Response(createReadableStreamFromReadable(body), { headers, status }))
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

/** Logs what a loader or an action threw without meaning to. */
export const handleError: HandleErrorFunction = (error, { request, context }) => {
  if (request.signal.aborted || isRouteErrorResponse(error) || storageFaultIn(error)) return
  context.log.error({ err: error }, 'a route failed')
}

/** Scripts and styles only with this answer's nonce; framed by nobody. */
function policyFor(nonce: string): string {
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
    "frame-ancestors 'none'",
  ].join('; ')
}
