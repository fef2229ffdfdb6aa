import { createServer } from 'node:http'
import { frontPage, icon } from './wrenfield/frontPage'
import { serif } from './wrenfield/fonts'

/** The simulated outside world, on a port of its own so that everything between it and the application is cross-origin. */
const port = Number(process.env.STANDIN_PORT ?? 4311)
const elogioUrl = process.env.ELOGIO_URL ?? 'http://localhost:4310'

const server = createServer((req, res) => {
  const { pathname } = new URL(req.url ?? '/', 'http://standin.example')
  if (pathname === '/') {
    res.writeHead(200, { 'Content-Type': 'text/html; charset=utf-8', 'Cache-Control': 'no-store' })
    res.end(frontPage(elogioUrl))
  } else if (pathname === '/serif.woff2') {
    res.writeHead(200, { 'Content-Type': 'font/woff2', 'Cache-Control': 'max-age=86400' })
    res.end(serif)
  } else if (pathname === '/icon.svg') {
    res.writeHead(200, { 'Content-Type': 'image/svg+xml', 'Cache-Control': 'max-age=86400' })
    res.end(icon)
  } else {
    res.writeHead(404, { 'Content-Type': 'text/plain' })
    res.end('Nothing here.')
  }
})
server.on('error', (error) => {
  console.error(`The stand-in shop could not start on port ${port}: ${error.message}`)
  process.exit(1)
})
server.listen(port)
process.on('SIGTERM', () => {
  server.close(() => process.exit(0))
  server.closeAllConnections()
})
