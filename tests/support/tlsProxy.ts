import { request } from 'node:http'
import { createServer } from 'node:https'
import { generate } from 'selfsigned'

/** A proxy that ends TLS in front of an application, as a shop's own does. */
export interface TlsProxy {
  port: number
  stop: () => void
}

/**
 * @param host the public name, which its self-made certificate is for
 * @param to where the application listens
 */
export async function startTlsProxy(host: string, to: string): Promise<TlsProxy> {
  const { private: key, cert } = await generate([{ name: 'commonName', value: host }], { keySize: 2048 })
  const server = createServer({ key, cert }, (req, res) => {
    const passed = request(
      to + req.url!,
      {
        method: req.method,
        headers: {
          ...req.headers,
          // As nginx does unless it is told otherwise.
          host: new URL(to).host,
          'x-forwarded-for': req.socket.remoteAddress,
          'x-forwarded-proto': 'https',
        },
      },
      (answer) => {
        res.writeHead(answer.statusCode!, answer.headers)
        answer.pipe(res)
      },
    )
    passed.on('error', () => res.destroy())
    res.on('close', () => passed.destroy())
    req.pipe(passed)
  })
  await new Promise<void>((resolve) => server.listen(0, resolve))
  const address = server.address()
  return {
    port: typeof address === 'object' && address ? address.port : 0,
    stop: () => {
      server.close()
      server.closeAllConnections()
    },
  }
}
