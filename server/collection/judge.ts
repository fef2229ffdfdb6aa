import type { Knex } from 'knex'
import { hundredthsOfFive } from '../../core/formats/rating'
import type { Candidate } from '../../core/intake/candidate'
import { expectedLanguages, languageOf } from '../../core/intake/language'
import { addressedSources, sourcePolicies } from '../../core/intake/sourcePolicy'
import { askedTexts } from '../../core/intake/writerTexts'
import type { RuleFacts } from '../../core/moderation/rules'
import type { Place, Signal } from '../../core/moderation/signal'
import { orderNumberCandidates } from '../../core/moderation/signals/personal'
import { writersSignals } from '../../core/moderation/signals/writers'
import { spamScore } from '../../core/moderation/spamScore'
import { anyLetsThrough } from '../data/attacks'
import { confirmationOf } from '../data/confirmations'
import type { KnownReview } from '../data/knownReviews'
import { knownOrderKeys } from '../data/orders'
import type { ShopRule } from '../data/rules'
import type { Shop } from '../data/shops'
import { applyRules, type RulesOutcome } from '../moderation/applyRules'
import type { WeighedArrival } from '../moderation/weighedArrival'
import { proveBuyer, type BuyerProof } from '../proof/proveBuyer'
import type { Services } from '../services'

/** Members of a sudden group that are looked up; they are in one group. */
const MAX_MEMBERS = 10

/** What the checks found out about a candidate. */
export interface Judged extends Omit<WeighedArrival, 'signals'>, Omit<RulesOutcome, 'ruleSignals'> {
  publicId: string
  receivedAt: string
  /** In hundredths of five stars. */
  rating: number | null
  language: string | null
  /** Null for a change: it keeps the proof of the review. */
  proof: BuyerProof | null
  signals: Signal[]
  score: number
}

/**
 * Proof, signals and rules, in this order. A change of a known review is checked like a new one, and compared
 * with all reviews but itself.
 */
export async function judge(
  services: Services,
  shop: Shop,
  candidate: Candidate,
  known: KnownReview | null,
  ownRules: ShopRule[],
): Promise<Judged> {
  const { db } = services
  const receivedAt = services.now().toISOString()
  const publicId = known?.publicId ?? services.newId()
  const rating = candidate.rating && hundredthsOfFive(candidate.rating.value, candidate.rating.scale)
  const proof = known ? null : await proofOf(db, shop, candidate, receivedAt)
  const before = known && (await confirmationOf(db, shop.id, known.id))
  const verified = proof ? proof.line !== null : before!.verified
  const {
    signals: weighedSignals,
    history: past,
    imprint,
  } = await weighed(services, shop, candidate, {
    id: publicId,
    rating,
    receivedAt,
    changed: known !== null,
    verified,
  })
  const isWelcome =
    past.burst !== null && (await anyLetsThrough(db, shop.id, past.burst.members.slice(0, MAX_MEMBERS)))
  const history = isWelcome ? { ...past, burst: null } : past
  const found = weighedSignals.filter(({ kind }) => kind !== 'burst' || !isWelcome)
  const checked = [
    ...found,
    ...writersSignals(candidate.writers, {
      confirmed: before?.confirmedAt != null,
      verified,
      photos: sourcePolicies[candidate.source].checksPhotos ? candidate.photos.length : 0,
    }),
  ]
  // Customers of all languages write on other sites.
  const expected =
    sourcePolicies[candidate.source].typedBy === 'site'
      ? undefined
      : expectedLanguages(shop, candidate.customerLanguage)
  const language = languageOf(writtenIn(candidate), expected)
  const facts: RuleFacts = {
    score: spamScore(checked),
    kinds: checked.map(({ kind }) => kind),
    rating,
    source: candidate.source,
    language,
    product: candidate.productSku,
    verified,
  }
  // Spam stays spam, whatever its writer changes.
  const stays = known?.state === 'spam' ? known.state : null
  const { ruleSignals, ...outcome } = applyRules(facts, candidate.arrivesAs, ownRules, stays)
  return {
    publicId,
    receivedAt,
    rating,
    language,
    proof,
    signals: [...checked, ...ruleSignals],
    score: facts.score,
    ...outcome,
    history,
    imprint,
  }
}

// Nobody could be asked later whether an order number was hers.
const proofOf = async (db: Knex, shop: Shop, candidate: Candidate, writtenAt: string): Promise<BuyerProof> =>
  candidate.authorEmail === '' && addressedSources.includes(candidate.source)
    ? { line: null, failure: 'noEmail' }
    : proveBuyer(db, shop, { ...candidate, provenEmail: '', writtenAt })

/** Its words; its answers if it has none. */
const writtenIn = ({ title, body, answers }: Candidate) =>
  `${title}${body}`.trim() ? `${title}\n${body}` : answers.map(({ value }) => value).join('\n')

/** The signals of the text, the sender and, if the source is compared, the earlier reviews. */
async function weighed(
  { db, workers }: Services,
  shop: Shop,
  candidate: Candidate,
  arrived: {
    id: string
    rating: number | null
    receivedAt: string
    changed: boolean
    verified: boolean
  },
): Promise<WeighedArrival> {
  const answered = candidate.answers.map(({ value }) => value)
  const isTyped = sourcePolicies[candidate.source].typedBy === 'customer'
  const aboutHerself = isTyped ? askedTexts.map((name) => candidate.about[name]) : []
  const one = await workers.run('weighArrival', {
    shopId: shop.id,
    alone: !sourcePolicies[candidate.source].compared,
    changed: arrived.changed,
    arriving: {
      id: arrived.id,
      title: candidate.title,
      // Visitors can read answers, what she says of herself and the descriptions of photos too.
      body: [candidate.body, ...answered, ...aboutHerself, ...candidate.photos.map(({ alt }) => alt)]
        .filter(Boolean)
        .join('\n'),
      rating: arrived.rating,
      authorName: candidate.authorName,
      authorEmail: candidate.authorEmail,
      ip: candidate.ip,
      // A change is no arrival of a burst.
      receivedAt: arrived.changed ? null : arrived.receivedAt,
      product: candidate.productSku,
      fillSeconds: candidate.fillSeconds,
      verified: arrived.verified,
    },
    circumstances: {
      ownDomains: shop.ownDomains,
      knownOrderKeys: await knownOrderKeys(db, shop.id, orderNumberCandidates(candidate)),
      tokenGood: candidate.tokenGood,
      trapSprung: candidate.trapSprung,
      workMissing: candidate.workMissing,
    },
  })
  const inWords = ({ field, end }: Place) => end <= candidate[field].length
  return {
    ...one,
    signals: one.signals.map((signal) => ({ ...signal, places: signal.places.filter(inWords) })),
  }
}
