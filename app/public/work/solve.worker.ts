import { solveChallenge, type Challenge } from 'altcha-lib'
import { deriveKey } from 'altcha-lib/algorithms/web/pbkdf2'

/** Computes the proof of work; answers null if this browser can't. */
self.onmessage = async ({ data: challenge }: MessageEvent<Challenge>) => {
  self.postMessage(await solveChallenge({ challenge, deriveKey }).catch(() => null))
}
