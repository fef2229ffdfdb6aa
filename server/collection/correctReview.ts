import { isDeepStrictEqual } from 'node:util'
import type { Knex } from 'knex'
import { dayIn } from '../../core/formats/dates'
import { hundredthsOfFive } from '../../core/formats/rating'
import { expectedLanguages, languageOf } from '../../core/intake/language'
import type { ManualEntry } from '../../core/intake/manualEntry'
import { sourcePolicies } from '../../core/intake/sourcePolicy'
import type { ReviewVersion } from '../../core/intake/review'
import type { Actor } from '../../core/moderation/actor'
import { say } from '../../core/messages/say/everything'
import type { DecisionState } from '../../core/moderation/decisionState'
import { openStates, type ReviewState } from '../../core/moderation/rules'
import type { Signal } from '../../core/moderation/signal'
import { spamScore } from '../../core/moderation/spamScore'
import { readDecisionState } from '../data/decisionStates'
import { confirmationOf } from '../data/confirmations'
import { evidenceOfReview, insertEvidence, type EvidenceFile, type NewEvidence } from '../data/evidenceFiles'
import { photosOfVersion } from '../data/photos'
import { findReview, type FullReview } from '../data/reviewReading'
import { updateNote } from '../data/replies'
import { insertVersion, type NewVersion } from '../data/reviewVersions'
import { readVersion } from '../data/versionRow'
import { findProduct, productWithSku } from '../data/products'
import type { Shop } from '../data/shops'
import { tagsNamed, tagsOfReviews } from '../data/tags'
import { hasOpenTokens } from '../data/tokens'
import { writing } from '../data/writing'
import { storePicture } from '../media/storePicture'
import { moveReview, type Acting } from '../moderation/actOnReview'
import { judgeAgain } from '../moderation/judgeAgain'
import { weighAlone } from '../moderation/weighAlone'
import type { Services } from '../services'
import { recordOf } from '../../core/formats/keysOf'
import { writerTextNames } from '../../core/intake/writerTexts'

/** A review that the shop added, as the page for corrections shows it. */
export interface CorrectionView {
  review: Pick<FullReview, 'publicId' | 'revision' | 'state' | 'authorName' | 'showable' | 'note'>
  version: CorrectableVersion
  /** The day it was written (`YYYY-MM-DD`); empty if unknown. */
  writtenOn: string
  /** Empty without a product. */
  productSku: string
  tags: string[]
  evidence: EvidenceFile[]
  /** The customer confirmed it, so text, rating and permission are hers. */
  confirmed: boolean
  /** A request to confirm it is not answered yet. */
  requested: boolean
}

/** Null for reviews that the shop did not add. Those change only through their writers. */
export async function correctionView(
  { db, now }: Services,
  shop: Shop,
  publicId: string,
): Promise<CorrectionView | null> {
  const review = await findReview(db, shop.id, { publicId })
  if (!review || sourcePolicies[review.source].typedBy !== 'shop') return null
  const version = await readVersion(db, shop.id, review.versionId)
  return {
    review,
    version,
    writtenOn: version.writtenPrecision === 'moment' ? '' : dayIn(shop.timeZone, version.writtenAt),
    productSku:
      review.productId === null
        ? ''
        : ((await findProduct(db, shop.id, { id: review.productId }))?.sku ?? ''),
    tags: (await tagsOfReviews(db, shop.id, [review.id])).get(review.id) ?? [],
    evidence: await evidenceOfReview(db, shop.id, review.id),
    confirmed: review.confirmedAt !== null,
    requested: await hasOpenTokens(db, review.id, 'confirm', now().toISOString()),
  }
}

/** What a correction can change in a version. */
type CorrectableVersion = ReturnType<typeof correctable>

const correctable = ({
  title,
  body,
  authorName,
  ratingValue,
  about,
  writtenAt,
  writtenPrecision,
}: ReviewVersion) => ({ title, body, authorName, ratingValue, about, writtenAt, writtenPrecision })

type Correction = ManualEntry & {
  /** Public ids of files that stay. */
  keptEvidence: string[]
  newEvidence: Omit<NewEvidence, 'publicId'>[]
}

type CorrectOutcome =
  | { outcome: 'done'; state: ReviewState; authorName: string }
  | { outcome: 'same' | 'gone' }
  | { outcome: 'conflict'; state: ReviewState; authorName: string }

/**
 * Corrects a review that the shop added: a new version, checked by the same rules. A confirmed one keeps its
 * text, rating and permission.
 * @param revision as the member saw it; if the review has changed since, nothing happens
 */
export async function correctReview(
  services: Services,
  shop: Shop,
  actor: Actor,
  publicId: string,
  correction: Correction,
  revision: number,
): Promise<CorrectOutcome> {
  const { db } = services
  const review = await findReview(db, shop.id, { publicId })
  const isCorrectable =
    review && sourcePolicies[review.source].typedBy === 'shop' && review.state !== 'withdrawn'
  if (!isCorrectable) return { outcome: 'gone' }
  const before = correctable(await readVersion(db, shop.id, review.versionId))
  const corrected = await correctedVersion(services, shop, review, before, correction)
  const showable = review.confirmedAt === null ? correction.consent === 'on' : review.showable
  const isOtherVersion = showable !== review.showable || !isDeepStrictEqual(corrected, before)
  const { ratingValue } = corrected
  const rating = ratingValue === null ? null : hundredthsOfFive(ratingValue, 5)
  const signals = isOtherVersion
    ? await weighAlone(services, shop, { ...corrected, publicId, rating, productSku: correction.product })
    : []
  const version: NewVersion = {
    ...corrected,
    rating,
    language: languageOf(`${corrected.title}\n${corrected.body}`, expectedLanguages(shop)),
    salt: services.newSecret(),
    ratingScale: ratingValue === null ? null : 5,
    ...(review.confirmedAt === null && {
      consentAnswer: showable ? 'stated' : 'refused',
      consentText: say('write.agreed'),
    }),
    signals,
    photos: await photosOfVersion(db, shop.id, review.versionId),
  }
  const outcome = await writing(db, async (trx): Promise<CorrectOutcome> => {
    const current = await findReview(trx, shop.id, { publicId })
    if (current?.revision !== revision)
      return { outcome: 'conflict', state: current?.state ?? review.state, authorName: review.authorName }
    const acting = { trx, shop, actor, now: services.now().toISOString(), batch: null }
    const newEvidence = correction.newEvidence.map((file) => ({ ...file, publicId: services.newId() }))
    return storeCorrection(acting, current, { ...correction, newEvidence }, isOtherVersion ? version : null)
  })
  services.changes.announce(shop.id, 'reviews')
  services.wakeJobs()
  return outcome
}

/** @param version null if only what is beside the version changes: product, tags, evidence, note or state */
async function storeCorrection(
  acting: Acting,
  review: FullReview,
  correction: Correction & { newEvidence: NewEvidence[] },
  version: NewVersion | null,
): Promise<CorrectOutcome> {
  const { trx, shop, now } = acting
  const before = await readDecisionState(trx, shop.id, review.id)
  const evidence = await evidenceOfReview(trx, shop.id, review.id)
  const { state, renewed } = await judgedAfter(trx, shop, review, correction, version)
  const after: DecisionState = {
    ...before,
    state,
    productId: (await productWithSku(trx, shop.id, correction.product))?.id ?? null,
    showable: review.confirmedAt === null ? correction.consent === 'on' : review.showable,
    tagIds: await tagsNamed(trx, shop.id, correction.tags),
    evidenceIds: evidence
      .filter(({ publicId }) => correction.keptEvidence.includes(publicId))
      .map(({ id }) => id),
  }
  for (const file of correction.newEvidence)
    after.evidenceIds.push(await insertEvidence(trx, shop.id, review.id, file, now))
  if (version)
    after.versionId = await insertVersion(
      trx,
      shop.id,
      review,
      { ...version, signals: [...version.signals, ...renewed] },
      now,
    )
  if (after.state === 'approved') {
    after.publishedVersionId = after.versionId
    after.publishedAt = before.publishedAt ?? now
  }
  const isNoteNew = correction.note !== review.note
  if (isNoteNew) await updateNote(trx, shop.id, review.publicId, correction.note)
  if (!isDeepStrictEqual(after, before))
    await moveReview(acting, { ...review, ...version }, before, after, 'correct', null)
  else if (!isNoteNew) return { outcome: 'same' }
  return { outcome: 'done', state, authorName: correction.author_name }
}

async function correctedVersion(
  services: Services,
  shop: Shop,
  review: FullReview,
  before: CorrectableVersion,
  entry: Correction,
): Promise<CorrectableVersion> {
  const words =
    review.confirmedAt === null
      ? { title: entry.title, body: entry.body, ratingValue: entry.rating }
      : { title: before.title, body: before.body, ratingValue: before.ratingValue }
  const unknownDate = { writtenAt: review.receivedAt, writtenPrecision: 'moment' as const }
  const sameDate =
    before.writtenPrecision !== 'moment' && dayIn(shop.timeZone, before.writtenAt) === entry.written_at
  const date = sameDate
    ? { writtenAt: before.writtenAt, writtenPrecision: before.writtenPrecision }
    : entry.written_at
      ? { writtenAt: entry.written_at, writtenPrecision: 'day' as const }
      : unknownDate
  const picture = async (given: string, kept: string | null) =>
    kept !== null && given === `/media/${kept}` ? kept : storePicture(services, shop.id, given)
  return {
    title: words.title,
    body: words.body,
    authorName: entry.author_name,
    ratingValue: words.ratingValue,
    ...date,
    about: {
      ...before.about,
      ...recordOf(writerTextNames, (name) => entry[name].trim()),
      companyUrl: entry.company_url.trim(),
      seenUrl: entry.seen_url.trim(),
      portrait: await picture(entry.portrait, before.about.portrait),
      companyLogo: await picture(entry.company_logo, before.about.companyLogo),
      seenPublic: entry.seen_public === 'on',
    },
  }
}

/**
 * An undecided review is approved, waits or is held, as when it is added. A decided one stays, unless the
 * correction brings a reason to hold it that was not there before.
 */
async function judgedAfter(
  trx: Knex.Transaction,
  shop: Shop,
  review: FullReview,
  { product, waiting }: Correction,
  version: NewVersion | null,
): Promise<{ state: ReviewState; renewed: Signal[] }> {
  const stored = await confirmationOf(trx, shop.id, review.id)
  const otherwise = waiting === 'on' ? 'waiting' : 'approved'
  const earlier = await judgeAgain(trx, shop, stored, { otherwise })
  const judged = await judgeAgain(trx, shop, stored, {
    otherwise,
    productSku: (await productWithSku(trx, shop.id, product))?.sku ?? '',
    ...(version && {
      kinds: version.signals.map(({ kind }) => kind),
      score: spamScore(version.signals),
      rating: version.rating,
      language: version.language,
    }),
  })
  const { renewed } = judged
  if (openStates.includes(review.state) && !stored.decidedByPerson) return { state: judged.state, renewed }
  const isHeldNow = judged.state === 'held' || judged.state === 'spam'
  const changes = review.state === 'approved' && isHeldNow && earlier.state !== judged.state
  return { state: changes ? judged.state : review.state, renewed }
}
