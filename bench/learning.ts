import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { z } from 'zod'
import { readJsonLines } from '../cli/jsonLines'
import { randomFrom } from '../core/moderation/wording/train'
import { assessRows, isStopped, type LabelledRow } from './assessRows'
import { chanceFrom } from './crowds/chance'
import { customersText } from './crowds/texts'
import { OWN_DOMAIN, readLabelled } from './labelled/read'
import { interval } from './share'

/**
 * What a shop's decisions change: of a set in random order, some are decided on and the rest is scored, eight times.
 * With customers' texts that are approved before, as in a shop that gets little spam. With a file of reviews by
 * others, that instead of the own set: `npm run bench:learning -- FILE.jsonl`.
 */
const TIMES = 8
const DECIDED = 40
const APPROVED_BEFORE = 160

const rowSchema = z.looseObject({
  label: z.enum(['spam', 'ham', 'honest']),
  body: z.string(),
  contested: z.unknown().optional(),
})
type Row = LabelledRow
const [file] = process.argv.slice(2)
const rows: Row[] = file
  ? readJsonLines(file, rowSchema).filter(({ contested }) => !contested)
  : readLabelled()
const ownDomains = file ? [] : [OWN_DOMAIN]

const random = randomFrom(5)
const chance = chanceFrom(5)
const approvals = Array.from({ length: APPROVED_BEFORE }, (): Row => ({
  label: 'honest',
  body: customersText(chance),
}))
const folder = mkdtempSync(path.join(tmpdir(), 'elogio-learning-'))

/** A file of decisions as `elogio assess --teach` reads it. */
function decisions(some: Row[]): string {
  const name = path.join(folder, 'decisions.jsonl')
  const lines = some.map(({ label, ...row }) =>
    JSON.stringify({ ...row, decision: label === 'spam' ? 'spam' : 'approved' }),
  )
  writeFileSync(name, lines.join('\n'))
  return name
}

const results: Record<string, { label: Row['label']; stopped: boolean }[]> = {}
const note = (name: string, some: ReturnType<typeof assessRows<Row>>) =>
  (results[name] ??= []).push(...some.map((row) => ({ label: row.label, stopped: isStopped(row) })))
try {
  for (let time = 0; time < TIMES; time++) {
    const shuffled = rows.map((row) => ({ row, at: random() })).toSorted((a, b) => a.at - b.at)
    const [taught, rest] = [shuffled.slice(0, DECIDED), shuffled.slice(DECIDED)].map((some) => some.map(({ row }) => row)) as [Row[], Row[]] // oxfmt-ignore
    note('before any decision', assessRows(rest, ownDomains))
    note(`after ${DECIDED} decisions`, assessRows(rest, ownDomains, decisions(taught)))
    note(
      `after ${APPROVED_BEFORE} approvals of others and ${DECIDED} decisions`,
      assessRows(rest, ownDomains, decisions([...approvals, ...taught])),
    )
    note(`after ${APPROVED_BEFORE} approvals alone`, assessRows(rest, ownDomains, decisions(approvals)))
  }
} finally {
  rmSync(folder, { recursive: true })
}
for (const [name, some] of Object.entries(results)) {
  const share = (isSpam: boolean) => {
    const own = some.filter(({ label }) => (label === 'spam') === isSpam)
    return interval(own.filter(({ stopped }) => stopped).length, own.length)
  }
  console.log(`${name}: spam ${share(true)}, honest ${share(false)}`)
}
