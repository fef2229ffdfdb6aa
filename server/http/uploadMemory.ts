/** The memory for all request bodies together. */
const MAX_BYTES = 160_000_000
/** The memory for one client: a form with its photos and a little more. */
const MAX_BYTES_PER_CLIENT = 64_000_000
/** Younger uploads are never aborted in favour of another. */
const SPARED_MS = 3000

/** The share of one request body. */
interface UploadShare {
  /** Reserves memory for arrived bytes; false if there is none. */
  grow: (bytes: number) => boolean
  release: () => void
}

export interface UploadMemory {
  /**
   * @param client the owner of the body, as limits identify it
   * @param now in milliseconds of a monotonic clock
   * @param giveUp called when the upload is aborted in favour of others
   */
  open: (client: string, now: () => number, giveUp: () => void) => UploadShare
}

interface Upload {
  client: string
  bytes: number
  openedAt: number
  now: () => number
  giveUp: () => void
}

/** Counts arrived bytes, not announced ones. If the memory is full, the slowest upload is aborted. */
export function buildUploadMemory(
  maxBytes = MAX_BYTES,
  maxBytesPerClient = MAX_BYTES_PER_CLIENT,
): UploadMemory {
  const uploads = new Set<Upload>()
  const ofClient = new Map<string, number>()
  let total = 0

  function count(upload: Upload, bytes: number): void {
    upload.bytes += bytes
    total += bytes
    const left = (ofClient.get(upload.client) ?? 0) + bytes
    if (left > 0) ofClient.set(upload.client, left)
    else ofClient.delete(upload.client)
  }

  function release(upload: Upload): void {
    if (uploads.delete(upload)) count(upload, -upload.bytes)
  }

  function reserveUploadMemory(wanted: number, asking: Upload): boolean {
    while (total + wanted > maxBytes) {
      const others = [...uploads].filter(
        (one) => one !== asking && one.bytes > 0 && one.now() - one.openedAt > SPARED_MS,
      )
      const slowest = others.sort((a, b) => rateOf(a) - rateOf(b))[0]
      const rate = rateOf({ ...asking, bytes: asking.bytes + wanted })
      if (!slowest || rateOf(slowest) >= rate) return false
      release(slowest)
      slowest.giveUp()
    }
    return true
  }

  return {
    open(client, now, giveUp) {
      const upload: Upload = { client, bytes: 0, openedAt: now(), now, giveUp }
      uploads.add(upload)
      return {
        grow: (bytes) => {
          if (!uploads.has(upload) || (ofClient.get(client) ?? 0) + bytes > maxBytesPerClient) return false
          if (!reserveUploadMemory(bytes, upload)) return false
          count(upload, bytes)
          return true
        },
        release: () => release(upload),
      }
    },
  }
}

const rateOf = ({ bytes, openedAt, now }: Upload) => bytes / Math.max(1, now() - openedAt)
