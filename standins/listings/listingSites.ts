import { barrowmere, barrowmereBusinesses } from './barrowmere/site'
import { brindlepost, brindlepostBusinesses } from './brindlepost/site'
import { faults, refusal, spoilt, withFaults, type Fault, type Faults } from './faults'
import { sheets } from './sheets/site'
import { lanternway, lanternwayBusinesses } from './lanternway/site'
import { html, text, type Asked, type Business, type Reply, type Site } from './site'

const SLOW_MS = 20_000

export interface ListingSites {
  /** Null for paths of no site. */
  answer: (asked: Asked) => { reply: Reply; afterMs: number } | null
  /** What the control pages switch. */
  faultsOf: (site: SiteName) => Faults
}

const names = ['lanternway', 'barrowmere', 'brindlepost', 'sheets'] as const
export type SiteName = (typeof names)[number]

/**
 * Three sites and some published sheets under one host.
 * @param start when their reviews are as old as they say
 */
export function buildListingSites(host: string, now: () => Date, start = now()): ListingSites {
  const on: Record<SiteName, Faults> = {
    lanternway: new Set(),
    barrowmere: new Set(),
    brindlepost: new Set(),
    sheets: new Set(),
  }
  const shown = (name: SiteName, businesses: Business[]) => () =>
    withFaults(businesses, on[name], now().toISOString())
  const home = (name: SiteName) => `${host}/${name}`
  const sites: Record<SiteName, Site> = {
    lanternway: lanternway(
      home('lanternway'),
      shown('lanternway', lanternwayBusinesses(start)),
      on.lanternway,
    ),
    barrowmere: barrowmere(
      home('barrowmere'),
      shown('barrowmere', barrowmereBusinesses(start)),
      on.barrowmere,
      now,
    ),
    brindlepost: brindlepost(
      home('brindlepost'),
      shown('brindlepost', brindlepostBusinesses(start)),
      on.brindlepost,
    ),
    sheets: sheets(home('sheets'), on.sheets, start),
  }
  return {
    faultsOf: (site) => on[site],
    answer: (asked) => {
      const [, first, rest] = /^\/([a-z]+)(\/.*)?$/.exec(asked.path) ?? []
      const name = names.find((one) => one === first)
      if (!name) return null
      const path = rest ?? '/'
      if (path === '/control') return { reply: control(name, on[name], home(name), asked), afterMs: 0 }
      const below = { ...asked, path }
      const reply = refusal(on[name], below) ?? spoilt(on[name], sites[name].answer(below))
      return { reply, afterMs: on[name].has('slow') && !/\.svg$/.test(path) ? SLOW_MS : 0 }
    },
  }
}

function control(name: SiteName, on: Faults, home: string, { method, query }: Asked): Reply {
  const fault = query.get('fault')
  if (method === 'POST') {
    if (fault === 'none') on.clear()
    else if (fault && Object.hasOwn(faults, fault)) {
      if (!on.delete(fault as Fault)) on.add(fault as Fault)
    }
    return { status: 303, headers: { Location: `${home}/control` }, body: '' }
  }
  const button = (value: string, label: string) =>
    `<form method="post" action="${home}/control?fault=${value}"><button>${text(label)}</button></form>`
  const rows = Object.entries(faults).map(([one, label]) =>
    button(one, `${on.has(one as Fault) ? 'ON: ' : ''}${label}`),
  )
  return html(
    `<!doctype html><html lang="en"><head><title>Control of ${name}</title></head><body><h1>What ${name} does wrong</h1>${button('none', 'Nothing')}${rows.join('')}</body></html>`,
  )
}
