import { createRequestListener } from '@mjackson/node-fetch-server'
import type { IncomingMessage, ServerResponse } from 'node:http'
import { createRequestHandler, type AppLoadContext, type ServerBuild } from 'react-router'
import type { PublicSite } from './publicSite'
import type { SentBody } from './sentBody'

type Build = ServerBuild | (() => Promise<ServerBuild>)

/** Hands a request to the router and writes its answer. */
export type RouteListener = (
  req: IncomingMessage,
  res: ServerResponse,
  sent: SentBody,
  context: AppLoadContext,
) => Promise<void>

/**
 * The router sees every request at the public address, whatever its Host header says, so that its own check of origins,
 * its links and its redirects all agree.
 */
export function buildRouteListener(build: Build, mode: string, site: PublicSite): RouteListener {
  const handle = createRequestHandler(build, mode)
  return async (req, res, sent, context) => {
    const listener = createRequestListener(
      async (request) => privateByDefault(await handle(asRouted(request, sent, site), context)),
      { host: site.host, protocol: site.protocol, onError: () => new Response(null, { status: 500 }) },
    )
    // Typed as a listener of events, which answers nothing; in truth it says when the answer has been written.
    await (listener(req, res) as unknown as Promise<void>)
  }
}

function asRouted(request: Request, { bytes }: SentBody, { origin }: PublicSite): Request {
  const headers = new Headers(request.headers)
  // Its origin has been checked; under another of our own names the router would not know it.
  if (headers.has('Origin')) headers.set('Origin', origin)
  return new Request(request.url, {
    method: request.method,
    headers,
    signal: request.signal,
    ...(bytes && { body: new Uint8Array(bytes) }),
  })
}

/** What the router answers is for whoever asked, unless a route says otherwise. */
function privateByDefault(response: Response): Response {
  if (response.headers.has('Cache-Control')) return response
  const headers = new Headers(response.headers)
  headers.set('Cache-Control', 'private, no-store')
  return new Response(response.body, { status: response.status, statusText: response.statusText, headers })
}
