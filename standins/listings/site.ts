export interface Asked {
  method: string
  /** Below the site's own path. */
  path: string
  query: URLSearchParams
  headers: Record<string, string | undefined>
}

export interface Reply {
  status: number
  headers?: Record<string, string>
  body: string | Buffer
}

export interface Opinion {
  id: string
  name: string
  face: boolean
  /** Of the site's scale; null without one. */
  rating: number | null
  title: string
  text: string
  /** ISO moment. */
  at: string
  likes: number
  bought: boolean
}

export interface Business {
  id: string
  name: string
  street: string
  opinions: Opinion[]
  /** The number that the site states, which can be higher than what it hands out. */
  closed?: boolean
}

/** What a site shows: it changes with the faults of its control page. */
export interface Site {
  /** Without a trailing slash. */
  home: string
  businesses: () => Business[]
  answer: (asked: Asked) => Reply
}

export const html = (body: string, status = 200): Reply => ({
  status,
  headers: { 'Content-Type': 'text/html; charset=utf-8', 'Cache-Control': 'no-store' },
  body,
})

export const json = (value: unknown, status = 200): Reply => ({
  status,
  headers: { 'Content-Type': 'application/json; charset=utf-8', 'Cache-Control': 'no-store' },
  body: JSON.stringify(value),
})

export const picture = (svg: string): Reply => ({
  status: 200,
  headers: { 'Content-Type': 'image/svg+xml', 'Cache-Control': 'max-age=3600' },
  body: svg,
})

export const text = (value: string): string =>
  value.replace(/[&<>"]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign]!)

/** A drawn face, different for each id. */
export function face(id: string): string {
  const seed = [...id].reduce((sum, sign) => (sum * 31 + sign.charCodeAt(0)) % 9973, 7)
  const hue = (seed * 47) % 360
  const hair = (seed * 13) % 60
  const smile = 4 + (seed % 5)
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 80 80" width="160" height="160"><rect width="80" height="80" fill="hsl(${hue} 30% 84%)"/><path d="M14 80c2-20 12-26 26-26s24 6 26 26z" fill="hsl(${(hue + 140) % 360} 35% 42%)"/><ellipse cx="40" cy="36" rx="16" ry="19" fill="hsl(${24 + (seed % 14)} 48% ${58 + (seed % 24)}%)"/><path d="M22 36c-2-22 38-22 36 0-4-12-8-13-18-13s-14 1-18 13z" fill="hsl(${hair} 40% ${20 + (seed % 30)}%)"/><circle cx="34" cy="37" r="1.8"/><circle cx="46" cy="37" r="1.8"/><path d="M34 45q6 ${smile} 12 0" fill="none" stroke="#333" stroke-width="1.6"/></svg>`
}

/** A drawn shop front. */
export const shopFront = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 240 160" width="480" height="320"><rect width="240" height="160" fill="#dfe8e4"/><rect x="30" y="50" width="180" height="100" fill="#f2e3b8"/><path d="M22 50h196l-14-26H36z" fill="#8a5a2b"/><rect x="46" y="72" width="60" height="50" fill="#b9d3cf"/><rect x="134" y="72" width="40" height="78" fill="#6d4a2a"/><circle cx="166" cy="112" r="3" fill="#f2e3b8"/></svg>`
