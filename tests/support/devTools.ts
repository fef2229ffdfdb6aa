import WebSocket from 'ws'

/** A connection to a whole browser; the driver's own reaches one page only. */
export interface DevTools {
  send: <T>(method: string, params?: object) => Promise<T>
  close: () => void
}

interface Answer {
  id?: number
  result?: unknown
  error?: { message: string }
}

/** @param address host and port that the browser listens on */
export async function connectDevTools(address: string): Promise<DevTools> {
  const version = await fetch(`http://${address}/json/version`)
  const { webSocketDebuggerUrl } = (await version.json()) as { webSocketDebuggerUrl: string }
  const socket = new WebSocket(webSocketDebuggerUrl)
  await new Promise((resolve, reject) => socket.once('open', resolve).once('error', reject))
  const waiting = new Map<number, (answer: Answer) => void>()
  socket.on('message', (data: Buffer) => {
    const answer = JSON.parse(data.toString()) as Answer
    if (answer.id !== undefined) waiting.get(answer.id)?.(answer)
  })
  let count = 0
  return {
    send: <T>(method: string, params = {}) =>
      new Promise<T>((resolve, reject) => {
        const id = ++count
        waiting.set(id, ({ result, error }) => {
          waiting.delete(id)
          if (error) reject(new Error(`${method}: ${error.message}`))
          else resolve(result as T)
        })
        socket.send(JSON.stringify({ id, method, params }))
      }),
    close: () => socket.close(),
  }
}
