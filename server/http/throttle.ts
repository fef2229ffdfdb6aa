import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible'
import { limitKeyOf } from '../../core/formats/ipAddress'
import { suspicionOf } from '../../core/intake/suspicion'

interface SignInAttempt {
  clientAddress: string
  email: string
  /** The device, if the member signed in from it before. */
  device: string | null
}

/** Counts attempts. Each function returns null if there is room, otherwise the seconds to wait. */
export interface Throttle {
  /** Counts an attempt before the password is checked, so that parallel attempts gain nothing. */
  signIn: (attempt: SignInAttempt) => Promise<number | null>
  /** Uncounts the attempt after a correct password. */
  signedIn: (attempt: SignInAttempt) => Promise<void>
  submit: (clientAddress: string, form: string) => Promise<number | null>
  /** The suspicion against a further submission, 0 to 4. */
  suspicion: (clientAddress: string, form: string) => Promise<number>
  photo: (clientAddress: string) => Promise<number | null>
  /** A piece of a video; a whole one is 25. */
  videoPiece: (clientAddress: string) => Promise<number | null>
  readSite: (clientAddress: string) => Promise<number | null>
  /** A member opens a page of the shop's site in the editor. */
  previewPage: (memberId: number) => Promise<number | null>
  /** A member looks up a business on another site. */
  lookUp: (memberId: number) => Promise<number | null>
  /** A customer changes, withdraws or restores her review. */
  ownChange: (review: string) => Promise<number | null>
  /** A page reports a display. */
  seen: (clientAddress: string) => Promise<number | null>
  /** A customer types into the field for products. */
  findProduct: (clientAddress: string) => Promise<number | null>
  /** A page that hasn't reported a display before. */
  newPageSeen: (clientAddress: string) => Promise<number | null>
}

const MINUTE_S = 60
/** Counted, but never refused. */
const UNLIMITED = Number.MAX_SAFE_INTEGER

/** Limits by account, form and network address. They are kept in memory, so a restart forgets them. */
export function buildThrottle(on: boolean): Throttle {
  const limiter = (points: number, minutes: number) =>
    new RateLimiterMemory({ points: on ? points : UNLIMITED, duration: minutes * MINUTE_S })
  const byAccount = limiter(10, 15)
  const byDevice = limiter(10, 15)
  const byAddress = limiter(40, 15)
  const submissions = limiter(60, 10)
  const [hourly, formLately] = [limiter(UNLIMITED, 60), limiter(UNLIMITED, 10)]
  const photos = limiter(80, 10)
  const videoPieces = limiter(80, 10)
  const sites = limiter(20, 10)
  const pagesInEditor = limiter(60, 10)
  const lookUps = limiter(300, 10)
  const ownChanges = limiter(10, 60)
  const seen = limiter(120, 10)
  const newPages = limiter(10, 60)
  const productSearches = limiter(120, 1)

  /** Guesses from elsewhere don't use up the attempts of a known device. */
  const signInCounters = ({ clientAddress, email, device }: SignInAttempt): [RateLimiterMemory, string][] =>
    device === null
      ? [
          [byAddress, limitKeyOf(clientAddress)],
          [byAccount, accountOf(email)],
        ]
      : [[byDevice, device]]

  return {
    signIn: async (attempt) => {
      // An address without attempts left doesn't use up those of the account.
      for (const [counter, key] of signInCounters(attempt)) {
        const wait = await take(counter, key)
        if (wait !== null) return wait
      }
      return null
    },
    signedIn: async (attempt) => {
      await Promise.all(signInCounters(attempt).map(([counter, key]) => counter.reward(key)))
    },
    submit: async (clientAddress, form) => {
      const client = `${form} ${limitKeyOf(clientAddress)}`
      await Promise.all([hourly.consume(client), formLately.consume(form)])
      return take(submissions, client)
    },
    suspicion: async (clientAddress, form) =>
      on
        ? suspicionOf({
            fromAddress: await taken(hourly, `${form} ${limitKeyOf(clientAddress)}`),
            toForm: await taken(formLately, form),
          })
        : 0,
    videoPiece: (clientAddress) => take(videoPieces, limitKeyOf(clientAddress)),
    photo: (clientAddress) => take(photos, limitKeyOf(clientAddress)),
    readSite: (clientAddress) => take(sites, limitKeyOf(clientAddress)),
    previewPage: (memberId) => take(pagesInEditor, String(memberId)),
    lookUp: (memberId) => take(lookUps, String(memberId)),
    ownChange: (review) => take(ownChanges, review),
    seen: (clientAddress) => take(seen, limitKeyOf(clientAddress)),
    findProduct: (clientAddress) => take(productSearches, limitKeyOf(clientAddress)),
    newPageSeen: (clientAddress) => take(newPages, limitKeyOf(clientAddress)),
  }
}

const accountOf = (email: string) => email.trim().toLowerCase()

const taken = async (limiter: RateLimiterMemory, key: string): Promise<number> =>
  (await limiter.get(key))?.consumedPoints ?? 0

async function take(limiter: RateLimiterMemory, key: string): Promise<number | null> {
  try {
    await limiter.consume(key)
    return null
  } catch (refused) {
    if (!(refused instanceof RateLimiterRes)) throw refused
    return Math.max(1, Math.ceil(refused.msBeforeNext / 1000))
  }
}
