import { createServer } from 'node:http'
import { buildListingSites } from './listings/listingSites'
import { startMailbox } from './mailbox/letters'
import { letterList, letterPage } from './mailbox/pages'
import { darkPage } from './saltmarsh/darkPage'
import { frontPage } from './wrenfield/frontPage'
import { goodPage, listingPage } from './wrenfield/goodsPages'
import { goods, pathOf } from './wrenfield/goods'
import { journalPage } from './wrenfield/journalPage'
import { tastingPage } from './wrenfield/tastingPage'
import { icon } from './wrenfield/sitePage'
import { serif } from './wrenfield/fonts'

/* On a port of its own, so that it is cross-origin to the application. */
const port = Number(process.env.STANDIN_PORT ?? 4311)
const smtpPort = Number(process.env.STANDIN_SMTP_PORT ?? 4312)
const elogioUrl = process.env.ELOGIO_URL ?? 'http://localhost:4310'

const pages = new Map<string, () => string>([
  ['/', () => frontPage(elogioUrl)],
  ['/goods', () => listingPage(elogioUrl)],
  ['/journal', () => journalPage(elogioUrl)],
  ['/tasting', () => tastingPage(elogioUrl)],
  ['/saltmarsh', () => darkPage(elogioUrl)],
  ...goods.map((good): [string, () => string] => [pathOf(good), () => goodPage(elogioUrl, good)]),
])
const files = new Map<string, { type: string; body: string | Buffer }>([
  ['/serif.woff2', { type: 'font/woff2', body: serif }],
  ['/icon.svg', { type: 'image/svg+xml', body: icon }],
])

const mailbox = startMailbox(smtpPort, (message) => {
  console.error(`The stand-in mailbox could not start on port ${smtpPort}: ${message}`)
  process.exit(1)
})

/** Reviews on other sites keep their dates when the demo is started again. */
const since = process.env.STANDIN_SINCE ? new Date(process.env.STANDIN_SINCE) : new Date()
const listings = buildListingSites(`http://localhost:${port}`, () => new Date(), since)

const server = createServer((req, res) => {
  const { pathname, searchParams } = new URL(`http://standin.example${req.url ?? '/'}`)
  const listed = listings.answer({
    method: req.method ?? 'GET',
    path: pathname,
    query: searchParams,
    headers: req.headers as Record<string, string>,
  })
  if (listed) {
    const { reply, afterMs } = listed
    setTimeout(() => {
      res.writeHead(reply.status, reply.headers)
      res.end(reply.body)
    }, afterMs)
    return
  }
  const page = pages.get(pathname) ?? mailPage(pathname)
  const file = files.get(pathname)
  if (page) {
    res.writeHead(200, { 'Content-Type': 'text/html; charset=utf-8', 'Cache-Control': 'no-store' })
    res.end(page())
  } else if (file) {
    res.writeHead(200, {
      'Content-Type': file.type,
      'Cache-Control': 'max-age=86400',
      'Access-Control-Allow-Origin': '*',
    })
    res.end(file.body)
  } else {
    res.writeHead(404, { 'Content-Type': 'text/plain' })
    res.end('Nothing here.')
  }
})
function mailPage(pathname: string): (() => string) | undefined {
  if (pathname === '/mailbox') return () => letterList(mailbox.letters)
  const letter = mailbox.letters.find(({ id }) => pathname === `/mailbox/${id}`)
  return letter && (() => letterPage(letter))
}

server.on('error', (error) => {
  console.error(`The stand-in shop could not start on port ${port}: ${error.message}`)
  process.exit(1)
})
server.listen(port)
process.on('SIGTERM', () => {
  void mailbox.stop().then(() => server.close(() => process.exit(0)))
  server.closeAllConnections()
})
