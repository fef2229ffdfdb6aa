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
 * @param application where the application listens
 * @param others addresses of other sites by their public names
 */
export async function startTlsProxy(
  host: string,
  application: string,
  others: Record<string, string> = {},
): Promise<TlsProxy> {
  const { private: key, cert } = await generate([{ name: 'commonName', value: host }], { keySize: 2048 })
  const server = createServer({ key, cert }, (req, res) => {
    const to = others[(req.headers.host ?? '').split(':')[0]!] ?? application
    const passed = request(
      new URL(req.url!, to),
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
