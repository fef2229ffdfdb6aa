import { ruleSchema } from '../../../core/moderation/rules'
import type { SignalKind, Words } from '../../../core/moderation/signal'
import { blob, id, integer, json, text } from '../columnDefinition'
import { created, table } from '../table'

export const signal = table('signal', {
  id: id(),
  shopId: integer().refers('shop'),
  versionId: integer().refers('review_version'),
  model: text(),
  kind: text<SignalKind>(),
  points: integer(),
  headline: text(),
  detail: text(),
})

export const signalPlace = table('signal_place', {
  id: id(),
  shopId: integer().refers('shop'),
  signalId: integer().refers('signal'),
  field: text<keyof Words>(),
  start: integer(),
  end: integer(),
})

export const fingerprint = table('fingerprint', {
  reviewId: integer().primary().refers('review'),
  shopId: integer().refers('shop'),
  model: integer(),
  traits: text(),
  triples: blob(),
  words: blob(),
})

export const untaught = table('untaught', {
  reviewId: integer().primary().refers('review'),
  shopId: integer().refers('shop'),
  at: text(),
})

export const rule = table('rule', {
  id: id(),
  shopId: integer().refers('shop'),
  publicId: text().unique(),
  name: text(),
  rule: json(ruleSchema.nullable().catch(null)),
  position: integer(),
  createdAt: text(),
})

/** What is found out about reviews, and what shops have taught. */
export const moderation = [
  created(signal),
  `CREATE INDEX signal_by_version ON signal (version_id)`,

  created(signalPlace),
  `CREATE INDEX signal_place_by_signal ON signal_place (signal_id)`,

  created(fingerprint),
  `CREATE INDEX fingerprint_by_shop ON fingerprint (shop_id, review_id)`,

  created(untaught),
  `CREATE INDEX untaught_by_shop ON untaught (shop_id, at)`,

  created(rule),
  `CREATE INDEX rule_by_shop ON rule (shop_id, position)`,
]
