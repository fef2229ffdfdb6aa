import type { IncomingMessage, ServerResponse } from 'node:http'
import { performance } from 'node:perf_hooks'
import type { UploadMemory } from './uploadMemory'

/** Why a body was not read to its end. `gone` means that the client has left. */
type BodyRefusal = 'tooLarge' | 'tooSlow' | 'busy' | 'gone'

export class BodyRefused extends Error {
  constructor(readonly reason: BodyRefusal) {
    super(`the body was refused: ${reason}`)
  }
}

export interface Patience {
  /** For the whole body, in milliseconds. */
  maxMs: number
  /** The window for measuring the rate, in milliseconds. */
  windowMs: number
  /** The minimum average of each window. */
  minBytesPerSecond: number
}

export const patience: Patience = { maxMs: 300_000, windowMs: 15_000, minBytesPerSecond: 2000 }

interface Reading {
  memory: UploadMemory
  client: string
  maxBytes: number
  patience: Patience
}

/**
 * Reads a request body within limits on bytes, time and rate. Its memory is released when the request is
 * answered.
 * @throws BodyRefused
 */
export function readBody(
  req: IncomingMessage,
  res: ServerResponse,
  { memory, client, maxBytes, patience: { maxMs, windowMs, minBytesPerSecond } }: Reading,
): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    const now = () => performance.now()
    const begun = now()
    const parts: Buffer[] = []
    let [bytes, bytesBefore] = [0, 0]
    const refuse = (reason: BodyRefusal) => {
      stop()
      reject(new BodyRefused(reason))
    }
    const share = memory.open(client, now, () => refuse('busy'))
    res.once('close', share.release)
    const watch = setInterval(() => {
      const isSlow = ((bytes - bytesBefore) / windowMs) * 1000 < minBytesPerSecond
      bytesBefore = bytes
      if (isSlow || now() - begun > maxMs) refuse('tooSlow')
    }, windowMs)
    const onData = (part: Buffer) => {
      bytes += part.length
      if (bytes > maxBytes) return refuse('tooLarge')
      if (!share.grow(part.length)) return refuse('busy')
      parts.push(part)
    }
    const onEnd = () => {
      stop()
      resolve(Buffer.concat(parts))
    }
    const onGone = () => refuse('gone')
    const stop = () => {
      clearInterval(watch)
      req.off('data', onData).off('end', onEnd).off('close', onGone)
    }
    req.on('error', onGone)
    req.on('data', onData).on('end', onEnd).on('close', onGone)
  })
}
