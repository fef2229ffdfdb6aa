import type { ServerResponse } from 'node:http'

/** What large requests may take of the memory together while they are read. */
const MOST_BYTES_AT_ONCE = 160_000_000
let taken = 0

/** Takes up room for a large request until it is answered; false when there is none left. */
export function makeRoom(res: ServerResponse, bytes: number): boolean {
  if (taken + bytes > MOST_BYTES_AT_ONCE) return false
  taken += bytes
  res.once('close', () => (taken -= bytes))
  return true
}
