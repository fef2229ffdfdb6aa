/** What request bodies may take of the memory together while they are read and answered. */
const MAX_BYTES = 160_000_000
/** What those of one client may take: one form with its photos, and a little beside it. */
const MAX_BYTES_PER_CLIENT = 64_000_000
/** An upload that is younger is never given up for another. */
const SPARED_MS = 3000

/** The share of one request body. */
export interface UploadShare {
  /** Takes room for bytes that have arrived; false when there is none. */
  grow: (bytes: number) => boolean
  release: () => void
}

export interface UploadMemory {
  /**
   * @param client whose body it is, as limits see her
   * @param now in milliseconds of any steady clock
   * @param giveUp called when it has to go so that others have room
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

/** Counts what has arrived, not what was announced. When all is taken, the slowest upload makes room. */
export function buildUploadMemory(
  maxBytes = MAX_BYTES,
  maxBytesPerClient = MAX_BYTES_PER_CLIENT,
): UploadMemory {
  const uploads = new Set<Upload>()
  const taken = (of?: string) =>
    [...uploads].reduce(
      (sum, { client, bytes }) => (of === undefined || of === client ? sum + bytes : sum),
      0,
    )

  function makeRoom(wanted: number, asking: Upload): boolean {
    while (taken() + wanted > maxBytes) {
      const others = [...uploads].filter(
        (one) => one !== asking && one.bytes > 0 && one.now() - one.openedAt > SPARED_MS,
      )
      const slowest = others.sort((a, b) => rateOf(a) - rateOf(b))[0]
      if (!slowest || rateOf(slowest) >= rateOf(asking)) return false
      uploads.delete(slowest)
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
          if (taken(client) + bytes > maxBytesPerClient || !makeRoom(bytes, upload)) return false
          upload.bytes += bytes
          return uploads.has(upload)
        },
        release: () => uploads.delete(upload),
      }
    },
  }
}

const rateOf = ({ bytes, openedAt, now }: Upload) => bytes / Math.max(1, now() - openedAt)
