import { z } from 'zod'
import { readJsonLines } from '../cli/jsonLines'
import { assessRows, isStopped } from './assessRows'
import { OWN_DOMAIN, readLabelled } from './labelled/read'
import { interval } from './share'

/**
 * Which share of spam is held back or marked, and which of honest reviews are stopped (`assessRows`).
 * With a file of reviews by others, that instead of the own set:
 * `npm run bench:spam -- FILE.jsonl`, with `label` (spam or ham), `kind`, `language`, `contested` and `group`.
 */
const rowSchema = z.looseObject({
  label: z.enum(['spam', 'ham', 'honest']),
  kind: z.string(),
  language: z.string(),
  body: z.string(),
  title: z.string().default(''),
  contested: z.unknown().optional(),
  group: z.union([z.string(), z.number()]).nullish(),
})
type Row = z.infer<typeof rowSchema>

const [file] = process.argv.slice(2).filter((argument) => !argument.startsWith('--'))
const rows: Row[] = file
  ? readJsonLines(file, rowSchema)
  : readLabelled().map((row) => ({ title: '', ...row }))
report(assessRows(rows, file ? [] : [OWN_DOMAIN]).filter(counts()))

/** The first of a group can't be known for a copy; what people disagree on is left out. */
function counts(): (row: Row) => boolean {
  const begun = new Set<string | number>()
  return ({ contested, group }) => {
    if (contested) return false
    if (group === null || group === undefined || begun.has(group)) return true
    begun.add(group)
    return false
  }
}

function report(all: ReturnType<typeof assessRows<Row>>): void {
  const length = ({ title, body }: Row) => {
    const words = `${title} ${body}`.split(/\s+/).length
    return words < 8 ? 'under 8 words' : words < 20 ? '8 to 19 words' : '20 words and more'
  }
  for (const isSpam of [true, false]) {
    const own = all.filter(({ label }) => (label === 'spam') === isSpam)
    const share = (some: typeof own) => interval(some.filter(isStopped).length, some.length)
    console.log(`${isSpam ? 'spam held or marked' : 'honest reviews stopped'}: ${share(own)}`)
    for (const groupOf of [({ kind }: Row) => kind, ({ language }: Row) => language, length])
      console.log(
        [...new Set(own.map(groupOf))]
          .toSorted()
          .map((name) => `  ${name.padEnd(20)} ${share(own.filter((row) => groupOf(row) === name))}`)
          .join('\n'),
      )
    if (!process.argv.includes('--missed')) continue
    for (const row of own.filter((one) => isStopped(one) !== isSpam))
      console.log(
        `    ${row.score} ${row.kind} ${row.language}: ${row.body.slice(0, 90)} [${row.reasons.map(({ signal, points }) => `${signal} ${points}`).join(', ')}]`,
      )
  }
}
