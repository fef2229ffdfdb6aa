import { createServer } from 'node:http'
import { readFileSync } from 'node:fs'

/** The floor: a server that only sends the same bytes with the same headers. */
const body = readFileSync(process.argv[2]!)
const headers = JSON.parse(process.argv[3]!) as Record<string, string>
const server = createServer((_req, res) => {
  res.writeHead(200, { ...headers, 'Content-Length': body.length })
  res.end(body)
})
server.listen(0, () => {
  const address = server.address()
  if (typeof address === 'object' && address) process.send?.(address.port)
})
