import { useState } from 'react'
import { say } from '../../core/messages/say/gather'

/** Small enough for a slow connection. */
const PIECE_BYTES = 4_000_000
const TRIES = 4
const WAIT_MS = 1500

export interface Upload {
  /** The uploaded share of the file, 0 to 1; null if none is uploading. */
  share: number | null
  problem: string | null
  /** Uploads a file in chunks. Returns its id, or null if it failed. */
  send: (file: File) => Promise<string | null>
}

/** Uploads large files in chunks and continues after a lost connection. */
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

/** The server's reason for refusing it. */
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
