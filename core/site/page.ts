import { load, type CheerioAPI } from 'cheerio/slim'

/** What a page says of itself, and where it says more. Addresses are absolute. */
export interface Page {
  url: string
  /** Names of the shop, the surest first. */
  names: string[]
  description: string
  /** A BCP 47 tag, as the page gives it. */
  language: string | null
  stylesheets: string[]
  manifest: string | null
  /** Pictures that may stand for the shop, the likeliest first. */
  pictures: string[]
  themeColour: string | null
  /** Styles inside the page: its style elements and attributes, as one sheet. */
  css: string
  /** Every class that something on the page has. */
  classes: Set<string>
  /** The words a reader sees. */
  text: string
}

const NAME_MOST = 80
const DESCRIPTION_MOST = 300
const TEXT_MOST = 4000

const emptyTitles =
  /^(home|homepage|welcome|start|startseite|willkommen|accueil|bienvenue|inicio|bienvenidos)$/i

const squeezed = (text: string | undefined) => (text ?? '').replace(/\s+/g, ' ').trim()

/** Reads the HTML of a page at an address. */
export function readPage(html: string, url: string): Page {
  const $ = load(html)
  const base = absolute($('base[href]').attr('href'), url) ?? url
  const at = (address: string | undefined) => absolute(address, base)
  const meta = (name: string) =>
    squeezed($(`meta[property="${name}"], meta[name="${name}"]`).first().attr('content'))
  const organisations = organisationsIn($)
  const links = (rel: string) =>
    $('link[rel][href]')
      .toArray()
      .map((link) => $(link).attr())
      .filter((link) => link !== undefined)
      .filter((link) => link.rel?.toLowerCase().split(/\s+/).includes(rel))
      .map(({ href, sizes, media }) => ({ href, sizes, media }))
  return {
    url,
    names: [
      ...organisations.map(({ name }) => name),
      meta('og:site_name'),
      meta('application-name'),
      meta('apple-mobile-web-app-title'),
      titleName(squeezed($('title').first().text()), url),
    ].filter((name) => name !== '' && name.length <= NAME_MOST),
    description: (meta('description') || meta('og:description')).slice(0, DESCRIPTION_MOST),
    language: $('html').attr('lang')?.trim() || meta('og:locale').replace('_', '-') || null,
    stylesheets: links('stylesheet')
      .filter(({ media }) => !/\b(print|dark)\b/.test(media ?? ''))
      .flatMap(({ href }) => at(href) ?? []),
    manifest: links('manifest').flatMap(({ href }) => at(href) ?? [])[0] ?? null,
    pictures: [
      ...organisations.map(({ logo }) => logo),
      $('header img[src], img[class*=logo i][src], img[id*=logo i][src]').first().attr('src'),
      ...bySize(links('apple-touch-icon')),
      ...bySize(links('icon')),
      meta('og:logo'),
      meta('og:image'),
      '/favicon.ico',
    ].flatMap((address) => (address ? (at(address) ?? []) : [])),
    themeColour: meta('theme-color') || null,
    css: [
      ...$('style')
        .toArray()
        .map((style) => $(style).text()),
      ...$('[style]')
        .toArray()
        .map(
          (element) => `${element.tagName}${classes($(element).attr('class'))}{${$(element).attr('style')}}`,
        ),
    ].join('\n'),
    classes: new Set(
      $('[class]')
        .toArray()
        .flatMap((element) => ($(element).attr('class') ?? '').split(/\s+/))
        .filter(Boolean),
    ),
    text: words($),
  }
}

/** The web app manifest's part in it: a name, a colour and icons. Anything else there is left alone. */
export function readManifest(
  manifest: unknown,
  url: string,
): { name: string; colour: string | null; pictures: string[] } {
  const read = (manifest && typeof manifest === 'object' ? manifest : {}) as Record<string, unknown>
  const icons = Array.isArray(read.icons) ? (read.icons as Record<string, unknown>[]) : []
  return {
    name: squeezed(typeof read.name === 'string' ? read.name : '').slice(0, NAME_MOST),
    colour: typeof read.theme_color === 'string' ? read.theme_color : null,
    pictures: icons
      .filter((icon) => typeof icon?.src === 'string')
      .toSorted((a, b) => widthIn(b.sizes) - widthIn(a.sizes))
      .flatMap((icon) => absolute(icon.src as string, url) ?? []),
  }
}

function absolute(address: string | undefined, base: string): string | null {
  if (!address || !URL.canParse(address, base)) return null
  const found = new URL(address, base)
  return /^https?:$/.test(found.protocol) ? found.href : null
}

function bySize(icons: { href: string | undefined; sizes: string | undefined }[]): (string | undefined)[] {
  const width = ({ href, sizes }: (typeof icons)[number]) => (href?.endsWith('.svg') ? 1000 : widthIn(sizes))
  return icons.toSorted((a, b) => width(b) - width(a)).map(({ href }) => href)
}

const widthIn = (sizes: unknown) => Number(/(\d+)x/i.exec(typeof sizes === 'string' ? sizes : '')?.[1] ?? 0)

/** Names and logos that the page's structured data gives for the business. */
function organisationsIn($: CheerioAPI): { name: string; logo: string | undefined }[] {
  const blocks = $('script[type="application/ld+json"]')
    .toArray()
    .flatMap((script) => {
      try {
        return [JSON.parse($(script).text()) as unknown]
      } catch {
        return []
      }
    })
  return blocks
    .flatMap((block) => flattened(block))
    .filter((thing) => /Organization|Business|Store|Brand|WebSite|Shop/.test(String(thing['@type'])))
    .map((thing) => ({
      name: squeezed(typeof thing.name === 'string' ? thing.name : ''),
      logo: addressIn(thing.logo) ?? addressIn(thing.image),
    }))
}

function flattened(block: unknown): Record<string, unknown>[] {
  if (Array.isArray(block)) return block.flatMap(flattened)
  if (!block || typeof block !== 'object') return []
  const thing = block as Record<string, unknown>
  return [thing, ...flattened(thing['@graph'])]
}

function addressIn(value: unknown): string | undefined {
  if (typeof value === 'string') return value
  if (Array.isArray(value)) return addressIn(value[0])
  if (value && typeof value === 'object') return addressIn((value as { url?: unknown }).url)
  return undefined
}

/** The part of a title that names the shop: the one most like its host, else the shortest that says something. */
function titleName(title: string, url: string): string {
  const parts = title
    .split(/\s+[|–—·:»-]\s+|\s*\|\s*|:\s+/u)
    .map((part) => part.trim())
    .filter((part) => part !== '' && !emptyTitles.test(part))
  const bare = (text: string) =>
    text
      .normalize('NFKD')
      .toLowerCase()
      .replace(/[^a-z0-9]/g, '')
  const host = bare(hostName(url))
  const alike = parts.find((part) => host !== '' && (host.includes(bare(part)) || bare(part).includes(host)))
  return alike ?? parts.toSorted((a, b) => a.length - b.length)[0] ?? ''
}

/** "honey-and-wax.example" is read as "Honey and wax". */
export function hostName(url: string): string {
  const host = new URL(url).hostname.replace(/^www\./, '')
  if (/^[\d.:[\]]+$/.test(host)) return ''
  const words = host.split('.')[0]!.replace(/[-_]+/g, ' ')
  return words.charAt(0).toUpperCase() + words.slice(1)
}

const classes = (given: string | undefined) =>
  (given ?? '')
    .split(/\s+/)
    .filter((name) => /^[\w-]+$/.test(name))
    .map((name) => `.${name}`)
    .join('')

function words($: CheerioAPI): string {
  const body = $('body').clone()
  body.find('script, style, noscript, svg, template').remove()
  return squeezed(body.text()).slice(0, TEXT_MOST)
}
