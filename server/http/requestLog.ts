import type { IncomingMessage, ServerResponse } from 'node:http'
import { performance } from 'node:perf_hooks'
import { networkOf } from '../../core/formats/ipAddress'
import type { Log } from '../log'

const MAX_PATH_LENGTH = 200

/** Logs one line when a request has been answered or given up. No query, no token and no whole address is in it. */
export function logRequest(log: Log, req: IncomingMessage, res: ServerResponse, clientAddress: string): void {
  const started = performance.now()
  res.once('close', () => {
    const line = {
      method: req.method,
      path: loggedPath(req.url ?? ''),
      status: res.headersSent ? res.statusCode : 0,
      ms: Math.round((performance.now() - started) * 10) / 10,
      client: networkOf(clientAddress),
      ...(!res.writableFinished && { cutOff: true }),
    }
    if (line.status >= 500 && line.status !== 503) log.error(line, 'request')
    else log.info(line, 'request')
  })
}

/** A path without its query, and without the tokens that are links in emails. */
export function loggedPath(url: string): string {
  const path = url.split(/[?#]/, 1)[0]!
  return path.replace(/^\/(confirm|r|c|stop)\/[^/]+/, '/$1/*').slice(0, MAX_PATH_LENGTH)
}
