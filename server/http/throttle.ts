import { RateLimiterMemory, type RateLimiterRes } from 'rate-limiter-flexible'
import { askerOf } from './asker'

/** Each answers null when there is room, else the seconds to wait. */
export interface Throttle {
  /** Asks whether there is room for another password; `failed` takes it up, so that the right one costs nothing. */
  signIn: (request: Request, email: string) => Promise<number | null>
  failed: (request: Request, email: string) => Promise<void>
  submit: (request: Request, form: string) => Promise<number | null>
  photo: (request: Request) => Promise<number | null>
  readSite: (request: Request) => Promise<number | null>
}

const MINUTE_S = 60

/** Counts tries by account, by form and by network address. It lives in memory: a restart forgets it. */
export function buildThrottle(on: boolean): Throttle {
  if (!on) {
    const open = () => Promise.resolve(null)
    return { signIn: open, submit: open, photo: open, readSite: open, failed: () => Promise.resolve() }
  }
  const limiter = (points: number, duration: number) => new RateLimiterMemory({ points, duration })
  const byAccount = limiter(10, 15 * MINUTE_S)
  const byAddress = limiter(40, 15 * MINUTE_S)
  const submissions = limiter(60, 10 * MINUTE_S)
  const photos = limiter(80, 10 * MINUTE_S)
  const sites = limiter(20, 10 * MINUTE_S)
  return {
    signIn: async (request, email) =>
      (await left(byAddress, askerOf(request))) ?? (await left(byAccount, accountOf(email))),
    failed: async (request, email) => {
      await take(byAddress, askerOf(request))
      await take(byAccount, accountOf(email))
    },
    submit: (request, form) => take(submissions, `${form} ${askerOf(request)}`),
    photo: (request) => take(photos, askerOf(request)),
    readSite: (request) => take(sites, askerOf(request)),
  }
}

const accountOf = (email: string) => email.trim().toLowerCase()

/** How long until there is room, without taking any. */
async function left(limiter: RateLimiterMemory, key: string): Promise<number | null> {
  const found = await limiter.get(key)
  return found && found.consumedPoints >= limiter.points ? secondsIn(found) : null
}

const secondsIn = ({ msBeforeNext }: RateLimiterRes) => Math.max(1, Math.ceil(msBeforeNext / 1000))

async function take(limiter: RateLimiterMemory, key: string): Promise<number | null> {
  try {
    await limiter.consume(key)
    return null
  } catch (refused) {
    return secondsIn(refused as RateLimiterRes)
  }
}
