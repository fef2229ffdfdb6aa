import type { ServerResponse } from 'node:http'
import type { Log } from '../log'

const MAX_PATH_LENGTH = 200

/**
 * Logs one line for each finished request, without query, token or full network address.
 * @param url as requested
 * @param network the part of the client's address that may be logged
 * @param ms the duration
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
  /** 0 if there was no answer. */
  status: number
  ms: number
  client: string
  /** The client left, or was cut off, before everything was written. */
  cutOff?: true
}

const withToken = /^\/(confirm|r|c|stop)\/[^/]+/

/** Without the query, and without tokens of links in emails. */
function loggedPath(url: string): string {
  const end = url.search(/[?#]/)
  const path = url.slice(0, Math.min(end < 0 ? url.length : end, MAX_PATH_LENGTH))
  return withToken.test(path) ? path.replace(withToken, '/$1/*') : path
}
