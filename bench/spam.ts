import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { assessFile } from '../cli/assess'
import { OWN_DOMAIN, readLabelled } from './labelled/read'

/** Shares by kind over the labelled set: spam held back or marked, and honest reviews held back. */
const HELD_FROM = 60
const folder = mkdtempSync(path.join(tmpdir(), 'elogio-labelled-'))
try {
  const labelled = readLabelled()
  const file = path.join(folder, 'reviews.jsonl')
  writeFileSync(file, labelled.map((review, id) => JSON.stringify({ id, ...review })).join('\n'))
  const assessed = assessFile(file, [OWN_DOMAIN], undefined)
  const rows = labelled.map((review, i) => ({
    ...review,
    ...assessed[i]!,
    caught: assessed[i]!.score >= HELD_FROM,
  }))
  for (const label of ['spam', 'honest'] as const) {
    const own = rows.filter((row) => row.label === label)
    const rate = (some: typeof own) => `${some.filter(({ caught }) => caught).length} of ${some.length}`
    console.log(`${label}: held or marked as spam ${rate(own)} (${percent(own)} %)`)
    for (const kind of [...new Set(own.map(({ kind }) => kind))])
      console.log(`  ${kind.padEnd(14)} ${rate(own.filter((row) => row.kind === kind))}`)
    if (!process.argv.includes('--missed')) continue
    for (const row of own.filter(({ caught }) => caught !== (label === 'spam')))
      console.log(
        `    ${row.score} ${row.kind} ${row.language}: ${row.body.slice(0, 90)} [${row.reasons.map(({ signal, points }) => `${signal} ${points}`).join(', ')}]`,
      )
  }
} finally {
  rmSync(folder, { recursive: true })
}

function percent(rows: { caught: boolean }[]): string {
  return ((100 * rows.filter(({ caught }) => caught).length) / rows.length).toFixed(1)
}
