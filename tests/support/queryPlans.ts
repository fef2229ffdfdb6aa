import type { Knex } from 'knex'

/* Each statement that a test asks of a database is looked at: does SQLite read a growing table from end to end for it? */

/** Tables whose rows grow with the reviews, orders, emails and visits of a shop. */
const growing = new Set([
  'customer',
  'decision',
  'decline_reason',
  'display_seen',
  'fingerprint',
  'job',
  'mail',
  'media',
  'photo',
  'publishable_review',
  'purchase',
  'purchase_line',
  'reply',
  'review',
  'review_group',
  'review_tag',
  'review_version',
  'session',
  'signal',
  'signal_place',
  'snapshot_review',
  'pending_photo',
  'token',
  'verification',
  'version_photo',
])

/** Statements that tests run themselves, to see or to change what is there: they name no shop. */
const ofTests = [
  /^(select [^(]*(count\(\*\) as `\w+`)?|delete) from `\w+`( group by `\w+`)?( order by `\w+`( asc| desc)?)?( limit \?)?$/,
  /^select [^(]* from `\w+` where `(kind|number_key|recipient|body)` = \?( limit \?)?$/,
  /^update `\w+` set (?!.* where )/,
  /^update `purchase` set `number_key` = \? where `shop_id` = \?$/,
  /^SELECT rating_value AS value/,
  /^(update|delete from) `decision`/,
]
/** Whether nothing is read, as the condition is false by itself. */
const readsNothing = (sql: string) => / where .*\b1 = \?| WHERE 0$/.test(sql)

/** What is read whole all the same, and why that is well. */
const allowed: [RegExp, why: string][] = [
  [
    /from `decision` where `shop_id` = \? order by `number` asc$/,
    'the command that verifies a log reads all of it',
  ],
  [
    /from `mail` where `shop_id` = \? group by `state`$/,
    'emails are deleted after a time, and the index is enough',
  ],
]

const seen = new Set<string>()
const unlooked: { sql: string; bindings: readonly unknown[] }[] = []

/** Notes each statement that a database is asked. */
export function notePlans(db: Knex): Knex {
  db.on('query', ({ sql, bindings }: { sql: string; bindings?: readonly unknown[] }) => {
    // Lists of different lengths are one statement.
    const shape = sql.replace(/\?(?:, \?)+/g, '?')
    if (
      seen.has(shape) ||
      !/^\s*(select|update|delete|insert|with)\b/i.test(sql) ||
      ofTests.some((one) => one.test(sql))
    )
      return
    if (readsNothing(sql) || allowed.some(([one]) => one.test(sql))) return
    seen.add(shape)
    unlooked.push({ sql, bindings: bindings ?? [] })
  })
  return db
}

/** The statements noted since the last time that read a growing table from end to end, each with the table. */
export async function longScans(db: Knex): Promise<string[]> {
  const found: string[] = []
  for (const { sql, bindings } of unlooked.splice(0)) {
    const plan: { detail: string }[] = await db
      .raw<{ detail: string }[]>(`EXPLAIN QUERY PLAN ${sql}`, bindings as Knex.Value[])
      .catch(() => [])
    for (const { detail } of plan) {
      const name = scanned(detail, sql)
      if (name && growing.has(tableNamed(name, sql))) found.push(`${detail}: ${sql}`)
    }
  }
  return found
}

/** What a step of a plan reads whole, or whole for one shop; a limit ends that early. */
function scanned(detail: string, sql: string): string | undefined {
  return (
    /^SCAN (\w+)/.exec(detail)?.[1] ??
    (/ limit \?/i.test(sql) ? undefined : /^SEARCH (\w+) USING .*\(shop_id=\?\)$/.exec(detail)?.[1])
  )
}

/** The table that stands under a name in a statement. */
function tableNamed(name: string, sql: string): string {
  return new RegExp(`[\`"]?(\\w+)[\`"]? as [\`"]?${name}[\`"]?`, 'i').exec(sql)?.[1] ?? name
}
