import type { ServerResponse } from 'node:http'
import type { Log } from '../log'

const MAX_PATH_LENGTH = 200

/**
 * Logs one line for a request that has been answered or given up. No query, no token and no whole address is in it.
 * @param url as it was asked for
 * @param network what may be logged of the client's address
 * @param ms how long it took
 */
export function logRequest(
  log: Log,
  { method, url }: { method: string | undefined; url: string },
  { statusCode, headersSent, writableFinished }: ServerResponse,
  network: string,
  ms: number,
): void {
  const line: RequestLine = {
    method,
    path: loggedPath(url),
    status: headersSent ? statusCode : 0,
    ms: Math.round(ms * 10) / 10,
    client: network,
  }
  if (!writableFinished) line.cutOff = true
  if (statusCode >= 500 && statusCode !== 503) log.error(line, 'request')
  else log.info(line, 'request')
}

interface RequestLine {
  method: string | undefined
  path: string
  /** 0 when nothing was answered. */
  status: number
  ms: number
  client: string
  /** The client left, or was cut off, before all was written. */
  cutOff?: true
}

const withToken = /^\/(confirm|r|c|stop)\/[^/]+/

/** A path without its query, and without the tokens that are links in emails. */
export function loggedPath(url: string): string {
  const end = url.search(/[?#]/)
  const path = url.slice(0, Math.min(end < 0 ? url.length : end, MAX_PATH_LENGTH))
  return withToken.test(path) ? path.replace(withToken, '/$1/*') : path
}
