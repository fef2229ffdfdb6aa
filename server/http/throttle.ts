import { RateLimiterMemory, type RateLimiterRes } from 'rate-limiter-flexible'
import { ASKER } from './asker'

/** Each answers null when there is room, else the seconds to wait. */
export interface Throttle {
  signIn: (request: Request, email: string) => Promise<number | null>
  submit: (request: Request, form: string) => Promise<number | null>
  readSite: (request: Request) => Promise<number | null>
}

const MINUTE_S = 60

/** Counts tries by account, by form and by network address. It lives in memory: a restart forgets it. */
export function buildThrottle(on: boolean): Throttle {
  if (!on) {
    const open = () => Promise.resolve(null)
    return { signIn: open, submit: open, readSite: open }
  }
  const limiter = (points: number, duration: number) => new RateLimiterMemory({ points, duration })
  const byAccount = limiter(10, 15 * MINUTE_S)
  const byAddress = limiter(40, 15 * MINUTE_S)
  const submissions = limiter(30, 10 * MINUTE_S)
  const sites = limiter(20, 10 * MINUTE_S)
  return {
    signIn: async (request, email) =>
      (await take(byAddress, asker(request))) ?? (await take(byAccount, email.trim().toLowerCase())),
    submit: (request, form) => take(submissions, `${form} ${asker(request)}`),
    readSite: (request) => take(sites, asker(request)),
  }
}

const asker = (request: Request) => request.headers.get(ASKER) ?? 'unknown'

async function take(limiter: RateLimiterMemory, key: string): Promise<number | null> {
  try {
    await limiter.consume(key)
    return null
  } catch (refused) {
    return Math.max(1, Math.ceil((refused as RateLimiterRes).msBeforeNext / 1000))
  }
}
