import { existsSync, readFileSync, readdirSync } from 'node:fs'
import { createRequire } from 'node:module'
import path from 'node:path'
import { fonts } from '../../core/display/choices'
import { isShipped, shippedFonts, type ShippedFont } from '../../core/display/fonts'
import type { Services } from '../services'
import { asItIs, prepare, type Prepared } from './prepared'

const types: Record<string, string> = {
  '.js': 'text/javascript; charset=utf-8',
  '.css': 'text/css; charset=utf-8',
  '.svg': 'image/svg+xml',
  '.woff2': 'font/woff2',
  '.png': 'image/png',
  '.ico': 'image/x-icon',
  '.txt': 'text/plain; charset=utf-8',
  '.json': 'application/json; charset=utf-8',
}
const compressed = new Set(['.woff2', '.png', '.ico'])
/** The build puts its files beside themselves in these formats. */
const isCompressedCopy = (name: string) => /\.(gz|br)$/.test(name)

const PARTS = 'build/onsite/parts'
const FOREVER = 'public, max-age=31536000, immutable'
const ALWAYS_ASK = 'no-cache, s-maxage=1'

/** A font for pages of other sites, by its address. */
function fontFile(font: ShippedFont, name: string, subset: string): [string, Prepared] {
  const family = shippedFonts[font].name.toLowerCase().replace(' ', '-')
  const path = createRequire(import.meta.url).resolve(
    `@fontsource-variable/${family}/files/${family}-${subset}-wght-normal.woff2`,
  )
  return [
    `/fonts/${name}.woff2`,
    file(path, {
      'Cache-Control': 'public, max-age=604800',
      'Access-Control-Allow-Origin': '*',
      'Cross-Origin-Resource-Policy': 'cross-origin',
    }),
  ]
}

/** The embed script, its modules and the fonts of displays, by address. */
export function onsiteFiles(): Map<string, Prepared> {
  return new Map([
    [
      '/embed.js',
      file('build/onsite/embed.js', {
        'Cache-Control': ALWAYS_ASK,
        'Access-Control-Allow-Origin': '*',
        'Cross-Origin-Resource-Policy': 'cross-origin',
      }),
    ],
    ...fonts
      .filter(isShipped)
      .flatMap((font) => [fontFile(font, font, 'latin'), fontFile(font, `${font}-ext`, 'latin-ext')]),
    ...parts().map((name): [string, Prepared] => [
      `/parts/${name}`,
      file(path.join(PARTS, name), {
        'Cache-Control': FOREVER,
        'Access-Control-Allow-Origin': '*',
        'Cross-Origin-Resource-Policy': 'cross-origin',
      }),
    ]),
  ])
}

const parts = () => readdirSync(PARTS).filter((name) => !isCompressedCopy(name))

/** Addresses of the scripts of single layouts, by module. The file names contain a hash of the content. */
export function behaviourAddresses(): Services['behaviours'] {
  return Object.fromEntries(parts().map((name) => [name.replace(/-[\w-]{8}\.js$/, ''), `/parts/${name}`]))
}

/** All built files for browsers, by address. Files with a hash in their name are cached for ever. */
export function builtFiles(folder: string): Map<string, Prepared> {
  const files = readdirSync(folder, { recursive: true, withFileTypes: true }).filter(
    (entry) => entry.isFile() && !isCompressedCopy(entry.name),
  )
  return new Map(
    files.map((entry) => {
      const full = path.join(entry.parentPath, entry.name)
      const address = `/${path.relative(folder, full).split(path.sep).join('/')}`
      return [address, file(full, { 'Cache-Control': address.startsWith('/assets/') ? FOREVER : ALWAYS_ASK })]
    }),
  )
}

function file(name: string, headers: Record<string, string>): Prepared {
  const ending = path.extname(name)
  return prepare(
    readFileSync(name),
    { 'Content-Type': types[ending] ?? 'application/octet-stream', ...headers },
    compressed.has(ending) ? asItIs : compressedCopies(name),
  )
}

function compressedCopies(name: string) {
  const [gzip, brotli] = [`${name}.gz`, `${name}.br`]
  return existsSync(gzip) && existsSync(brotli)
    ? { gzip: readFileSync(gzip), brotli: readFileSync(brotli) }
    : undefined
}
