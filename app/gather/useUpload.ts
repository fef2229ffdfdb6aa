import { useState } from 'react'
import { say } from '../../core/messages/say/gather'

/** Small enough that a slow line has sent it before anybody's patience ends. */
const PIECE_BYTES = 4_000_000
const TRIES = 4
const WAIT_MS = 1500

export interface Upload {
  /** The share of the file that is sent, 0 to 1; null while none is. */
  share: number | null
  problem: string | null
  /** Sends a file by pieces; answers the name under which it is there, or null when it could not be sent. */
  send: (file: File) => Promise<string | null>
}

/** Sends large files by pieces, and goes on after a line that failed. */
export function useUpload(address: string): Upload {
  const [share, setShare] = useState<number | null>(null)
  const [problem, setProblem] = useState<string | null>(null)

  async function send(file: File): Promise<string | null> {
    setProblem(null)
    setShare(0)
    try {
      const upload = crypto.randomUUID().replaceAll('-', '')
      for (let at = 0; at < file.size;) {
        at = await sendPiece(`${address}?upload=${upload}&at=${at}`, file.slice(at, at + PIECE_BYTES))
        setShare(at / file.size)
      }
      return upload
    } catch (error) {
      setProblem(error instanceof Refused ? error.message : say('bringOrders.noLine'))
      return null
    } finally {
      setShare(null)
    }
  }
  return { share, problem, send }
}

/** What the server will not take, in its words. */
class Refused extends Error {}

async function sendPiece(address: string, piece: Blob): Promise<number> {
  for (let tries = 1; ; tries++) {
    const answer = await fetch(address, {
      method: 'POST',
      body: piece,
      headers: { 'Content-Type': 'application/octet-stream' },
    }).catch(() => null)
    if (answer?.ok) return ((await answer.json()) as { size: number }).size
    if (answer && answer.status < 500)
      throw new Refused(((await answer.json().catch(() => ({}))) as { problem?: string }).problem)
    if (tries === TRIES) throw new Error('no line')
    await new Promise((resolve) => setTimeout(resolve, WAIT_MS * tries))
  }
}
