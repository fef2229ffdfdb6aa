import { closeSync, fstatSync, openSync, readSync, writeSync } from 'node:fs'
import { readVideo } from '../../core/video/readVideo'
import type { Patch, VideoRefusal } from '../../core/video/video'
import type { Services } from '../services'

const SLICE_BYTES = 1_000_000

/** Reads a video by its content, and takes out of it what it tells of its maker. Runs in a thread. */
export async function readVideoTask(
  _services: Services,
  { file }: { file: string },
): Promise<{ kind: 'mp4' | 'webm'; seconds: number } | { refused: VideoRefusal }> {
  const handle = openSync(file, 'r+')
  try {
    const { size } = fstatSync(handle)
    const found = readVideo({
      size,
      read: (at, length) => {
        const bytes = new Uint8Array(Math.max(0, Math.min(length, size - at)))
        readSync(handle, bytes, 0, bytes.length, at)
        return bytes
      },
    })
    if ('refused' in found) return found
    for (const patch of found.patches) write(handle, patch)
    return { kind: found.kind, seconds: found.seconds }
  } finally {
    closeSync(handle)
  }
}

function write(handle: number, patch: Patch): void {
  if ('bytes' in patch) {
    writeSync(handle, patch.bytes, 0, patch.bytes.length, patch.at)
    return
  }
  for (let done = 0; done < patch.zeros; done += SLICE_BYTES) {
    const part = new Uint8Array(Math.min(SLICE_BYTES, patch.zeros - done))
    writeSync(handle, part, 0, part.length, patch.at + done)
  }
}
