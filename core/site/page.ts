import { businessesIn } from './business'
import { walkHtml } from './walkHtml'

/** What a page contains about its shop. Addresses are absolute. */
export interface Page {
  url: string
  /** Names of the shop, most likely first. */
  names: string[]
  description: string
  /** A BCP 47 tag, unchecked. */
  language: string | null
  stylesheets: string[]
  manifest: string | null
  /** Possible logos, most likely first. */
  pictures: string[]
  themeColour: string | null
  /** Style elements and attributes of the page, as one sheet. */
  css: string
  /** All classes on the page. */
  classes: Set<string>
  /** The visible text. */
  text: string
}

const MAX_NAME_LENGTH = 80
const MAX_TITLE_LENGTH = 300
const MAX_DESCRIPTION_LENGTH = 300
const MAX_TEXT_LENGTH = 4000
/** Before white space is collapsed. */
const MAX_RAW_TEXT_LENGTH = 16_000
const MAX_LINKS = 100
const MAX_CLASSES = 5000
const MAX_CSS_LENGTH = 300_000
const MAX_DATA_BLOCKS = 20

const emptyTitles =
  /^(home|homepage|welcome|start|startseite|willkommen|accueil|bienvenue|inicio|bienvenidos)$/i

const squeezed = (text: string | undefined) => (text ?? '').replace(/\s+/g, ' ').trim()

/** Parses the HTML of a page in linear time. */
export function readPage(html: string, url: string): Page {
  const found = collect(html)
  const base = absolute(found.base ?? undefined, url) ?? url
  const at = (address: string | undefined) => absolute(address, base)
  const meta = (name: string) => squeezed(found.metas.get(name))
  const businesses = found.data.flatMap(businessesIn)
  const links = (rel: string) =>
    found.links.filter((link) => link.rel?.toLowerCase().split(/\s+/).includes(rel))
  return {
    url,
    names: [
      ...businesses.map(({ name }) => squeezed(name)),
      meta('og:site_name'),
      meta('application-name'),
      meta('apple-mobile-web-app-title'),
      titleName(squeezed(found.title.slice(0, MAX_TITLE_LENGTH)), url),
    ].filter((name) => name !== '' && name.length <= MAX_NAME_LENGTH),
    description: (meta('description') || meta('og:description')).slice(0, MAX_DESCRIPTION_LENGTH),
    language: found.language?.trim() || meta('og:locale').replace('_', '-') || null,
    stylesheets: links('stylesheet')
      .filter(({ media }) => !/\b(print|dark)\b/.test(media ?? ''))
      .flatMap(({ href }) => at(href) ?? []),
    manifest: links('manifest').flatMap(({ href }) => at(href) ?? [])[0] ?? null,
    pictures: [
      ...businesses.map(({ logo }) => logo),
      found.logo ?? undefined,
      ...bySize(links('apple-touch-icon')),
      ...bySize(links('icon')),
      meta('og:logo'),
      meta('og:image'),
      '/favicon.ico',
    ].flatMap((address) => (address ? (at(address) ?? []) : [])),
    themeColour: meta('theme-color') || null,
    css: found.css,
    classes: found.classes,
    text: squeezed(found.text).slice(0, MAX_TEXT_LENGTH),
  }
}

type Attributes = Record<string, string>

/** Elements without visible text. */
const unseen = new Set(['script', 'style', 'noscript', 'svg', 'template', 'head'])

function collect(html: string) {
  const found = {
    title: '',
    language: null as string | null,
    base: null as string | null,
    metas: new Map<string, string>(),
    links: [] as Attributes[],
    /** The first picture that looks like a logo. */
    logo: null as string | null,
    css: '',
    classes: new Set<string>(),
    data: [] as string[],
    text: '',
  }
  /** The purpose of the current text. */
  let into: 'title' | 'css' | 'data' | null = null
  let titles = 0
  const inside = { header: 0, unseen: 0 }
  const addCss = (css: string) => {
    if (found.css.length + css.length <= MAX_CSS_LENGTH) found.css += css
  }
  walkHtml(html, {
    open(name, attributes) {
      if (unseen.has(name)) inside.unseen++
      if (name === 'header') inside.header++
      if (name === 'title' && titles++ === 0) into = 'title'
      if (name === 'style') into = 'css'
      if (
        name === 'script' &&
        attributes.type === 'application/ld+json' &&
        found.data.length < MAX_DATA_BLOCKS
      ) {
        found.data.push('')
        into = 'data'
      }
      if (name === 'html') found.language ??= attributes.lang ?? null
      if (name === 'base') found.base ??= attributes.href ?? null
      if (name === 'link' && attributes.href && found.links.length < MAX_LINKS) found.links.push(attributes)
      if (name === 'img' && attributes.src && (inside.header > 0 || isLogo(attributes)))
        found.logo ??= attributes.src
      if (name === 'meta')
        for (const key of [attributes.property, attributes.name])
          if (key && !found.metas.has(key)) found.metas.set(key, attributes.content ?? '')
      const classes = (attributes.class ?? '').split(/\s+/).filter(Boolean)
      for (const one of classes) if (found.classes.size < MAX_CLASSES) found.classes.add(one)
      if (attributes.style) addCss(`\n${name}${classSelector(classes)}{${attributes.style}}`)
    },
    close(name) {
      if (unseen.has(name)) inside.unseen--
      if (name === 'header') inside.header--
      if (name === 'style') addCss('\n')
      if (name === 'title' || name === 'style' || name === 'script') into = null
    },
    text(text) {
      if (into === 'title') found.title += text.slice(0, MAX_TITLE_LENGTH)
      else if (into === 'css') addCss(text)
      else if (into === 'data') found.data[found.data.length - 1] += text
      else if (inside.unseen === 0)
        found.text += text.slice(0, Math.max(0, MAX_RAW_TEXT_LENGTH - found.text.length))
    },
  })
  return found
}

const isLogo = ({ class: classes, id }: Attributes) => /logo/i.test(classes ?? '') || /logo/i.test(id ?? '')

/** The name, colour and icons of a web app manifest. */
export function readManifest(
  manifest: unknown,
  url: string,
): { name: string; colour: string | null; pictures: string[] } {
  const read = (manifest && typeof manifest === 'object' ? manifest : {}) as Record<string, unknown>
  const icons = Array.isArray(read.icons) ? (read.icons.slice(0, MAX_LINKS) as Record<string, unknown>[]) : []
  return {
    name: squeezed(typeof read.name === 'string' ? read.name : '').slice(0, MAX_NAME_LENGTH),
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

function bySize(icons: Attributes[]): (string | undefined)[] {
  const width = ({ href, sizes }: Attributes) => (href?.endsWith('.svg') ? 1000 : widthIn(sizes))
  return icons.toSorted((a, b) => width(b) - width(a)).map(({ href }) => href)
}

const widthIn = (sizes: unknown) =>
  Number(/(\d+)x/i.exec(typeof sizes === 'string' ? sizes.slice(0, 40) : '')?.[1] ?? 0)

/**
 * The part of a title that names the shop: the most similar to its host, otherwise the shortest meaningful
 * one.
 */
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

/** "honey-and-wax.example" becomes "Honey and wax". */
export function hostName(url: string): string {
  const host = new URL(url).hostname.replace(/^www\./, '')
  if (/^[\d.:[\]]+$/.test(host)) return ''
  const words = host.split('.')[0]!.replace(/[-_]+/g, ' ')
  return words.charAt(0).toUpperCase() + words.slice(1)
}

const classSelector = (classes: string[]) =>
  classes
    .filter((name) => /^[\w-]+$/.test(name))
    .map((name) => `.${name}`)
    .join('')
