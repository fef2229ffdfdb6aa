import { LRUCache } from 'lru-cache'
import { countFormDay, type FormCount } from '../data/formDays'
import { writing } from '../data/writing'
import type { Services } from '../services'
import type { CustomerForm } from './customerForm'
import { readFormToken } from './formToken'

/** Counts are written together, so that a crowd of visitors costs few transactions. */
const WRITTEN_EVERY_MS = 1000
/** Tokens whose writer has begun. A token that is forgotten earlier is counted twice. */
const MOST_REMEMBERED = 20_000

export interface FormVisits {
  opened: (form: CustomerForm) => void
  /** Counts each token of the form once; others not at all. */
  begun: (form: CustomerForm, token: string) => void
  /** Writes what is counted. */
  flush: () => Promise<void>
}

/** How often forms are opened and begun, by day. Nothing about the visitors is stored. */
export function buildFormVisits(services: Services): FormVisits {
  const { db, now, log, signingKey } = services
  const tokens = new LRUCache<string, true>({ max: MOST_REMEMBERED })
  let counted = new Map<string, { form: { id: number; shopId: number }; day: string } & FormCount>()
  let timer: NodeJS.Timeout | null = null

  async function flush(): Promise<void> {
    if (timer) clearTimeout(timer)
    timer = null
    const all = [...counted.values()]
    counted = new Map()
    if (all.length === 0) return
    await writing(db, async (trx) => {
      for (const { form, day, ...count } of all) await countFormDay(trx, form, day, count)
    })
  }
  function count({ form }: CustomerForm, what: keyof FormCount): void {
    const day = now().toISOString().slice(0, 10)
    const key = `${form.id} ${day}`
    const entry = counted.get(key) ?? {
      form: { id: form.id, shopId: form.shopId },
      day,
      opened: 0,
      begun: 0,
    }
    entry[what]++
    counted.set(key, entry)
    timer ??= setTimeout(() => {
      flush().catch((error: unknown) => log.warn({ error: String(error) }, 'form visits were not counted'))
    }, WRITTEN_EVERY_MS).unref()
  }
  return {
    opened: (form) => count(form, 'opened'),
    begun: (form, token) => {
      const isGood = readFormToken(signingKey, form.form.publicId, token, now()) !== null
      if (!isGood || tokens.has(token)) return
      tokens.set(token, true)
      count(form, 'begun')
    },
    flush,
  }
}
