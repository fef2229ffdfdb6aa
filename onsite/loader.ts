import { backgroundAround, applyColorScheme } from './colorScheme'

interface Answer {
  html: string
  css: string
  jsonLd: object | null
}

const asked = ['product', 'limit', 'lang', 'theme'] as const

async function fill(box: HTMLElement, origin: string): Promise<void> {
  if (box.shadowRoot || box.dataset.elogioAsked) return
  box.dataset.elogioAsked = ''
  const display = `${origin}/d/${encodeURIComponent(box.dataset.elogio ?? '')}`
  const query = new URLSearchParams()
  for (const name of asked) if (box.dataset[name]) query.set(name, box.dataset[name])
  const pageLanguage = box.closest<HTMLElement>('[lang]')?.lang
  if (pageLanguage && !query.has('lang')) query.set('lang', pageLanguage)
  try {
    const answer = await fetch(`${display}.json${query.size ? `?${query}` : ''}`, { credentials: 'omit' })
    if (!answer.ok) return
    const { html, css, jsonLd } = (await answer.json()) as Answer
    // Displays that an earlier version rendered say `data-wake`.
    const parts = / data-(?:modules|wake)="([^"]+)"/.exec(html)?.[1]?.split(' ') ?? []
    const behaviours = await Promise.all(
      parts.map((part) => import(/* @vite-ignore */ origin + part) as Promise<Behaviour>),
    )
    await Promise.all(behaviours.flatMap((behaviour) => behaviour.before?.(css) ?? []))
    const reserved = reservedHeight(box)
    const release = show(box, html, css)
    for (const behaviour of behaviours) behaviour.default?.(box.shadowRoot!)
    for (const link of box.shadowRoot!.querySelectorAll('a')) {
      // A frame around the page is a small box of a site builder, in which nothing has room to open.
      if (self !== top) link.target ||= link.matches('[href^="#"]') ? '' : '_blank'
      else if (link.dataset.form !== undefined) openOver(link, frameAddress(box, link.href), box)
    }
    if (jsonLd) tellSearchEngines(box, jsonLd)
    const page = location.origin + location.pathname
    const missing = release?.()
    navigator.sendBeacon?.(
      `${display}/seen`,
      page + (reserved && missing !== undefined ? `\n${missing}` : ''),
    )
  } catch {
    // The link in the box stays.
  }
}

interface Behaviour {
  /** What is waited for before the display is shown. */
  before?: (css: string) => Promise<void>
  default?: (root: ParentNode) => void
}

/** The height that the embed code reserves, in CSS pixels; 0 without its style, or for another selection than the copied. */
function reservedHeight(box: HTMLElement): number {
  const link = box.firstElementChild
  const isOther = box.dataset.product || box.dataset.limit
  return link && !isOther ? parseFloat(getComputedStyle(link).minHeight) || 0 : 0
}

/** @returns what ends the reserved height if it does not fit; nothing for a display that takes no space of its own */
function show(box: HTMLElement, html: string, css: string): (() => number) | undefined {
  const reserved = box.offsetHeight
  const width = box.offsetWidth
  const background = backgroundAround(box, box.dataset.theme)
  const root = box.attachShadow({ mode: 'open' })
  // Every Content-Security-Policy allows constructed style sheets.
  const sheet = new CSSStyleSheet()
  sheet.replaceSync(css)
  root.adoptedStyleSheets = [sheet]
  root.innerHTML = html
  const display = root.querySelector<HTMLElement>('.eg')
  applyColorScheme(display, background)
  if (!display) return
  if (display.matches('.eg-badge,.eg-ratingLine')) box.dataset.inline = ''
  else if (!display.matches('.eg-edge')) return hold(box, display, reserved, width)
}

/**
 * Keeps the reserved height until the width of the box changes, so that the page does not move.
 * @returns a function that measures by how many pixels the display is taller than reserved. It lets go of a height that
 * was reserved for another display, and of any below the visible part of the page, where nobody sees the page move.
 */
function hold(box: HTMLElement, display: HTMLElement, height: number, width: number): () => number {
  const keep = (kept: string) => (display.style.minHeight = kept)
  keep(`${height}px`)
  const isAsWide = () => Math.abs(box.offsetWidth - width) < 1
  const watch = new ResizeObserver(() => {
    if (isAsWide()) return
    keep('')
    watch.disconnect()
  })
  watch.observe(box)
  return () => {
    keep('')
    const missing = display.offsetHeight - height
    const fits = -missing <= SLACK + height * STEPS
    if (fits && isAsWide() && box.getBoundingClientRect().top < innerHeight) keep(`${height}px`)
    return missing
  }
}

/** A code that fits reserves up to this much too much: in CSS pixels, and as a share, between two measured widths. */
const SLACK = 12
const STEPS = 0.08

// Search engines do not look into shadow roots.
function tellSearchEngines(box: HTMLElement, jsonLd: object): void {
  const data = document.createElement('script')
  data.type = 'application/ld+json'
  data.textContent = JSON.stringify(jsonLd)
  box.append(data)
}

/** A frame with a form, as high as its content. What is done instead if the page forbids frames is `refused`. */
function formFrame(address: string, title: string, refused: () => void) {
  const { origin } = new URL(address)
  const frame = document.createElement('iframe')
  frame.title = title
  frame.style.cssText = 'display:block;width:100%;height:900px;border:0;color-scheme:light'
  addEventListener('message', ({ source, origin: from, data }: MessageEvent) => {
    const height = Number((data as { elogioHeight?: unknown } | null)?.elogioHeight)
    if (source === frame.contentWindow && from === origin && height > 0) frame.style.height = `${height}px`
  })
  document.addEventListener('securitypolicyviolation', ({ blockedURI, effectiveDirective }) => {
    if (frame.src && blockedURI.startsWith(origin) && effectiveDirective === 'frame-src') refused()
  })
  return { frame, load: () => (frame.src ||= address) }
}

/** A shadow root that the page's styles don't reach, in an element of its own. */
function rootIn(host: HTMLElement, display: string): ShadowRoot {
  host.style.setProperty('display', display, 'important')
  return host.attachShadow({ mode: 'open' })
}

/** The form of a box: its address in a frame, for the product and in the language of the page. */
function frameAddress(box: HTMLElement, form: string): string {
  const query = new URLSearchParams(box.dataset.product ? { product: box.dataset.product } : {})
  const language = box.dataset.lang ?? box.closest<HTMLElement>('[lang]')?.lang
  if (language) query.set('lang', language)
  return `${form}/frame?${query}`
}

/** Shows a form in its box; or over the page, from the link that is there. */
function showForm(box: HTMLElement, origin: string): void {
  const link = box.querySelector('a')
  if (box.dataset.elogioAsked !== undefined || !link) return
  box.dataset.elogioAsked = ''
  const address = frameAddress(box, `${origin}/f/${encodeURIComponent(box.dataset.elogioForm ?? '')}`)
  if ('over' in box.dataset) {
    openOver(link, address, box)
    return
  }
  const { frame, load } = formFrame(address, link.textContent ?? '', () =>
    frame.replaceWith(document.createElement('slot')),
  )
  load()
  rootIn(box, 'block').append(frame)
}

/** A click on a link opens a form over the page. */
function openOver(link: HTMLAnchorElement, address: string, box: HTMLElement): void {
  const { frame, load } = formFrame(address, link.textContent ?? '', () => (location.href = link.href))
  const over = document.createElement('dialog')
  over.style.cssText = 'width:min(640px,94vw);max-height:94vh;padding:0;border:0;background:none'
  const close = document.createElement('button')
  close.textContent = '×'
  close.ariaLabel = link.dataset.form ?? box.dataset.close ?? 'Close'
  close.style.cssText =
    'position:absolute;z-index:1;inset-inline-end:10px;top:10px;width:40px;height:40px;border:0;border-radius:50%;background:#fff;color:#222;font:26px/1 sans-serif;cursor:pointer'
  close.onclick = () => over.close()
  over.append(close, frame)
  rootIn((box.shadowRoot ?? box).appendChild(document.createElement('span')), 'contents').append(over)
  // Outside of the frame is the dialog's backdrop.
  over.addEventListener('click', (event) => event.target === over && over.close())
  link.addEventListener('click', (event) => {
    if (event.metaKey || event.ctrlKey || event.shiftKey) return
    event.preventDefault()
    load()
    over.showModal()
  })
}

/* Fills every `[data-elogio]` box of a page with its display, and every `[data-elogio-form]` box with its form. */
const script = document.currentScript
if (script instanceof HTMLScriptElement) {
  const origin = new URL(script.src).origin
  const fillAll = () => {
    document.querySelectorAll<HTMLElement>('[data-elogio]').forEach((box) => void fill(box, origin))
    document.querySelectorAll<HTMLElement>('[data-elogio-form]').forEach((box) => showForm(box, origin))
  }
  if (document.readyState === 'loading') document.addEventListener('DOMContentLoaded', fillAll)
  else fillAll()
}
