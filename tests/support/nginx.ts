import { spawn, spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { generate } from 'selfsigned'
import type { TlsProxy } from './tlsProxy'

export const hasNginx = (): boolean => spawnSync('nginx', ['-v']).status === 0

/**
 * nginx with the configuration that ships, `deploy/nginx.conf`: only its names, ports and certificate are replaced.
 * @param others addresses of other sites by their public names, which get TLS too
 */
export async function startNginx(
  host: string,
  to: string,
  others: Record<string, string>,
): Promise<TlsProxy> {
  const folder = mkdtempSync(path.join(tmpdir(), 'elogio-nginx-'))
  const [port, plainPort] = [await freePort(), await freePort()]
  const names = [host, ...Object.keys(others)]
  const { private: key, cert } = await generate([{ name: 'commonName', value: host }], {
    keySize: 2048,
    extensions: [{ name: 'subjectAltName', altNames: names.map((value) => ({ type: 2, value })) }],
  })
  const file = (name: string, content: string) => {
    writeFileSync(path.join(folder, name), content)
    return path.join(folder, name)
  }
  const certificate = file('cert.pem', cert)
  const keyFile = file('key.pem', key)
  const shipped = readFileSync('deploy/nginx.conf', 'utf8')
    .replaceAll('/etc/letsencrypt/live/reviews.shop.example/fullchain.pem', certificate)
    .replaceAll('/etc/letsencrypt/live/reviews.shop.example/privkey.pem', keyFile)
    .replaceAll('reviews.shop.example', host)
    .replaceAll('127.0.0.1:4310', new URL(to).host.replace('localhost', '127.0.0.1'))
    .replace(/listen \[::\]:.*\n/g, '')
    .replaceAll('listen 80;', `listen 127.0.0.1:${plainPort};`)
    .replaceAll('listen 443 ssl http2;', `listen 127.0.0.1:${port} ssl http2;`)
  const otherSites = Object.entries(others).map(
    ([name, address]) => `server {
  listen 127.0.0.1:${port} ssl http2;
  server_name ${name};
  ssl_certificate ${certificate};
  ssl_certificate_key ${keyFile};
  location / { proxy_pass ${address}; }
}`,
  )
  const temporary = ['client_body', 'proxy', 'fastcgi', 'uwsgi', 'scgi'].map(
    (name) => `${name}_temp_path ${folder}/${name};`,
  )
  const configuration = file(
    'nginx.conf',
    `daemon off; pid ${folder}/pid; error_log ${folder}/error.log;
events {}
http { access_log off; ${temporary.join(' ')} ${shipped} ${otherSites.join('\n')} }`,
  )
  const checked = spawnSync('nginx', ['-t', '-c', configuration], { encoding: 'utf8' })
  if (checked.status !== 0) throw new Error(checked.stderr)
  const server = spawn('nginx', ['-c', configuration], { stdio: 'ignore' })
  await answering(port)
  return {
    port,
    stop: () => {
      server.kill('SIGTERM')
      server.once('exit', () => rmSync(folder, { recursive: true, force: true }))
    },
  }
}

function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const probe = createServer()
    probe.listen(0, () => {
      const address = probe.address()
      probe.close(() => resolve(typeof address === 'object' && address ? address.port : 0))
    })
  })
}

async function answering(port: number): Promise<void> {
  const { connect } = await import('node:net')
  for (let tries = 0; tries < 200; tries++) {
    const open = await new Promise<boolean>((resolve) => {
      const socket = connect(port, '127.0.0.1')
      socket.once('connect', () => resolve(true))
      socket.once('error', () => resolve(false))
      socket.once('close', () => resolve(false))
      socket.once('connect', () => socket.destroy())
    })
    if (open) return
    await new Promise((resolve) => setTimeout(resolve, 25))
  }
  throw new Error('nginx does not answer')
}
