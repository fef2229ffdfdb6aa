import { RateLimiterMemory, type RateLimiterRes } from 'rate-limiter-flexible'
import { suspicionOf } from '../../core/intake/suspicion'
import { askerOf } from './asker'

/** Each answers null when there is room, else the seconds to wait. */
export interface Throttle {
  /** Asks whether there is room for another password; `failed` takes it up, so that the right one costs nothing. */
  signIn: (request: Request, email: string) => Promise<number | null>
  failed: (request: Request, email: string) => Promise<void>
  submit: (request: Request, form: string) => Promise<number | null>
  /** How suspicious one more from there is, 0 to 4. */
  suspicion: (request: Request, form: string) => Promise<number>
  photo: (request: Request) => Promise<number | null>
  readSite: (request: Request) => Promise<number | null>
}

const MINUTE_S = 60
/** Counted, but never refused. */
const UNLIMITED = Number.MAX_SAFE_INTEGER

/** Counts tries by account, by form and by network address. It lives in memory: a restart forgets it. */
export function buildThrottle(on: boolean): Throttle {
  if (!on) {
    const open = () => Promise.resolve(null)
    const calm = () => Promise.resolve(0)
    return {
      signIn: open,
      submit: open,
      suspicion: calm,
      photo: open,
      readSite: open,
      failed: () => Promise.resolve(),
    }
  }
  const limiter = (points: number, duration: number) => new RateLimiterMemory({ points, duration })
  const byAccount = limiter(10, 15 * MINUTE_S)
  const byAddress = limiter(40, 15 * MINUTE_S)
  const submissions = limiter(60, 10 * MINUTE_S)
  const [hourly, formLately] = [limiter(UNLIMITED, 60 * MINUTE_S), limiter(UNLIMITED, 10 * MINUTE_S)]
  const photos = limiter(80, 10 * MINUTE_S)
  const sites = limiter(20, 10 * MINUTE_S)
  return {
    signIn: async (request, email) =>
      (await left(byAddress, askerOf(request))) ?? (await left(byAccount, accountOf(email))),
    failed: async (request, email) => {
      await take(byAddress, askerOf(request))
      await take(byAccount, accountOf(email))
    },
    submit: async (request, form) => {
      const asker = `${form} ${askerOf(request)}`
      await Promise.all([hourly.consume(asker), formLately.consume(form)])
      return take(submissions, asker)
    },
    suspicion: async (request, form) =>
      suspicionOf({
        fromAddress: await taken(hourly, `${form} ${askerOf(request)}`),
        toForm: await taken(formLately, form),
      }),
    photo: (request) => take(photos, askerOf(request)),
    readSite: (request) => take(sites, askerOf(request)),
  }
}

const accountOf = (email: string) => email.trim().toLowerCase()

const taken = async (limiter: RateLimiterMemory, key: string): Promise<number> =>
  (await limiter.get(key))?.consumedPoints ?? 0

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
