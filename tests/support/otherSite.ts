import { createServer } from 'node:http'

/** Somebody's website: whatever page a test wants, from an origin of its own. */
export interface OtherSite {
  /** Has the site show a page from now on. Answers where. */
  show: (body: string, headers?: Record<string, string>) => string
  stop: () => void
}

export async function startOtherSite(): Promise<OtherSite> {
  let body = ''
  let extra: Record<string, string> = {}
  const server = createServer((_req, res) => {
    res.writeHead(200, { 'Content-Type': 'text/html; charset=utf-8', ...extra })
    res.end(
      `<!doctype html><html lang="en"><title>A site</title><link rel="icon" href="data:,">${body}</html>`,
    )
  })
  await new Promise<void>((resolve) => server.listen(0, resolve))
  const address = server.address()
  const port = typeof address === 'object' && address ? address.port : 0
  return {
    show: (page, headers = {}) => {
      body = page
      extra = headers
      return `http://localhost:${port}/`
    },
    stop: () => server.close(),
  }
}
