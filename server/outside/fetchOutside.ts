import { errorCode } from '../../core/formats/errorCode'
import { lookup as lookUp } from 'node:dns'
import { request as plain, type IncomingMessage } from 'node:http'
import { request as secure } from 'node:https'
import { isIP, type LookupFunction } from 'node:net'
import { createBrotliDecompress, createGunzip, createInflate } from 'node:zlib'
import { isPublicAddress } from '../../core/formats/ipAddress'

export const failures = [
  'address',
  'private',
  'unknownHost',
  'unreachable',
  'slow',
  'tooLarge',
  'redirects',
  'status',
  'wrongKind',
] as const
/** Why a response was refused. */
export type FetchFailure = (typeof failures)[number]

export class OutsideError extends Error {
  constructor(
    readonly failure: FetchFailure,
    readonly status: number | null = null,
  ) {
    super(`fetching failed: ${failure}`)
  }
}

export interface OutsideAnswer {
  status: number
  /** The header `Retry-After`; null without one. */
  retryAfter: string | null
  /** The final address, after redirects. */
  url: string
  contentType: string
  body: Buffer
}

export interface OutsideLimits {
  /** Hosts with ports (`localhost:4311`) that may be private. */
  allowedHosts: string[]
  mostBytes: number
  /** For everything including redirects, in milliseconds. */
  withinMs: number
  /** Accepted content types. */
  kinds: RegExp
  /** Sent to the first host only. */
  headers?: Record<string, string>
  /** Whether answers other than 200 are returned, with any content type. */
  anyStatus?: boolean
}

const MOST_REDIRECTS = 3

/**
 * Fetches an address that somebody typed. Only http and https, never private or local addresses (also after
 * redirects and name resolution), with limits on redirects, bytes and time.
 * @throws OutsideError with the reason
 */
export async function fetchOutside(address: string, limits: OutsideLimits): Promise<OutsideAnswer> {
  const signal = AbortSignal.timeout(limits.withinMs)
  let url = parsed(address)
  const { host: firstHost } = url
  for (let hop = 0; hop <= MOST_REDIRECTS; hop++) {
    const headersToSend = url.host === firstHost ? limits.headers : undefined
    const answer = await once(url, { ...limits, headers: headersToSend }, signal)
    const { statusCode = 0, headers } = answer
    if (statusCode >= 300 && statusCode < 400 && headers.location) {
      answer.destroy()
      url = parsed(headers.location, url)
      continue
    }
    const refused = statusCode !== 200
    if (refused && !limits.anyStatus) {
      answer.destroy()
      throw new OutsideError('status', statusCode)
    }
    const contentType = headers['content-type'] ?? ''
    if (!refused && !limits.kinds.test(contentType)) {
      answer.destroy()
      throw new OutsideError('wrongKind')
    }
    return {
      status: statusCode,
      retryAfter: headers['retry-after'] ?? null,
      url: url.href,
      contentType,
      body: await wholeBody(answer, limits.mostBytes, signal),
    }
  }
  throw new OutsideError('redirects')
}

function parsed(address: string, base?: URL): URL {
  if (!URL.canParse(address, base)) throw new OutsideError('address')
  const url = new URL(address, base)
  if (!/^https?:$/.test(url.protocol) || url.username || url.password || !url.hostname)
    throw new OutsideError('address')
  return url
}

function once(url: URL, limits: OutsideLimits, signal: AbortSignal): Promise<IncomingMessage> {
  const mayBePrivate = limits.allowedHosts.includes(url.host)
  const host = url.hostname.replace(/^\[|\]$/g, '')
  // Node calls no resolver for a literal address, so it is checked here.
  if (!mayBePrivate && isIP(host) && !isPublicAddress(host)) throw new OutsideError('private')
  return new Promise((resolve, reject) => {
    const request = (url.protocol === 'https:' ? secure : plain)(url, {
      signal,
      agent: false,
      lookup: mayBePrivate ? undefined : publicOnly,
      headers: {
        'User-Agent': 'Elogio (reads a page for the owner of the shop it belongs to)',
        'Accept-Encoding': 'gzip, br, deflate',
        Accept: '*/*',
        ...limits.headers,
      },
    })
    request.once('response', resolve)
    request.once('error', (error: NodeJS.ErrnoException) => reject(asOutsideError(error, signal)))
    request.end()
  })
}

/** Resolves a name and lets only public addresses through; the connection is made to exactly what was looked at. */
const publicOnly: LookupFunction = (host, options, done) => {
  lookUp(host, { ...options, all: true }, (error, addresses) => {
    if (error) return done(error, '', 0)
    if (addresses.some(({ address }) => !isPublicAddress(address)))
      return done(new OutsideError('private'), '', 0)
    const first = addresses[0]
    if (!first) return done(new OutsideError('unknownHost'), '', 0)
    return options.all ? done(null, addresses) : done(null, first.address, first.family)
  })
}

function asOutsideError(error: unknown, signal: AbortSignal): OutsideError {
  if (error instanceof OutsideError) return error
  if (signal.aborted) return new OutsideError('slow')
  return new OutsideError(/ENOTFOUND|EAI_/.test(errorCode(error) ?? '') ? 'unknownHost' : 'unreachable')
}

async function wholeBody(answer: IncomingMessage, mostBytes: number, signal: AbortSignal): Promise<Buffer> {
  const parts: Buffer[] = []
  let size = 0
  const unpacker = unpackers[(answer.headers['content-encoding'] ?? '').toLowerCase()]?.()
  const stream = unpacker ? answer.pipe(unpacker) : answer
  const failed = new Promise<never>((_, reject) => answer.once('error', reject))
  const read = async () => {
    for await (const part of stream) {
      const bytes: Buffer = part
      size += bytes.length
      if (size > mostBytes) throw new OutsideError('tooLarge')
      parts.push(bytes)
    }
    return Buffer.concat(parts)
  }
  try {
    return await Promise.race([read(), failed])
  } catch (error) {
    throw asOutsideError(error, signal)
  } finally {
    answer.destroy()
  }
}

const unpackers: Record<string, () => NodeJS.ReadWriteStream> = {
  gzip: () => createGunzip(),
  br: () => createBrotliDecompress(),
  deflate: () => createInflate(),
}
