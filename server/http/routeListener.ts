import { createRequestListener } from '@mjackson/node-fetch-server'
import type { IncomingMessage, ServerResponse } from 'node:http'
import { createRequestHandler, type AppLoadContext, type ServerBuild } from 'react-router'
import { compressed } from './compressed'
import type { PublicSite } from './publicSite'
import { setSecurityHeaders } from './securityHeaders'
import type { SentBody } from './sentBody'

type Build = ServerBuild | (() => Promise<ServerBuild>)

/** Passes a request to the router and writes its answer. */
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
  const secure = site.protocol === 'https:'
  return async (req, res, sent, context) => {
    const listener = createRequestListener(
      async (request) => {
        const answer = withOwnHeaders(await handle(asRouted(request, sent, site), context), secure)
        return compressed(answer, request.headers.get('Accept-Encoding'))
      },
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

/** The router's answer with the headers that all have; it is for whoever asked, unless its route says otherwise. */
function withOwnHeaders({ body, status, statusText, headers: given }: Response, secure: boolean): Response {
  const headers = new Headers(given)
  if (!headers.has('Cache-Control')) headers.set('Cache-Control', 'private, no-store')
  // Set on Node's response, headers would make it keep only the last of several cookies.
  setSecurityHeaders(headers, secure)
  return new Response(body, { status, statusText, headers })
}
