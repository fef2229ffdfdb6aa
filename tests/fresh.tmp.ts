import { readFileSync, writeFileSync } from 'node:fs'
import { assessFile } from '../cli/assess'
const rows = readFileSync('/tmp/fresh.txt', 'utf8')
  .trim()
  .split('\n')
  .map((l) => ({ l: l[0], body: l.slice(2) }))
writeFileSync(
  '/tmp/fresh.jsonl',
  rows
    .map((r, i) => JSON.stringify({ id: i, body: r.body, rating: r.l === 'S' ? 5 : 4, fill_seconds: 40 }))
    .join('\n'),
)
const a = assessFile('/tmp/fresh.jsonl', ['own.example'], undefined)
let s = 0,
  st = 0,
  h = 0,
  ht = 0
a.forEach((x, i) => {
  const bad = x.score >= 60
  if (rows[i]!.l === 'S') {
    st++
    if (bad) s++
    else console.log('MISS', x.score, rows[i]!.body, x.reasons.map((r) => r.signal + r.points).join())
  } else {
    ht++
    if (bad) {
      h++
      console.log('FP', x.score, rows[i]!.body, JSON.stringify(x.reasons))
    } else if (x.score > 25)
      console.log('near', x.score, rows[i]!.body, x.reasons.map((r) => r.signal + r.points).join())
  }
})
console.log('spam', s, st, 'honest', h, ht)
