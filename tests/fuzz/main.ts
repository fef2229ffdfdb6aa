import { startSmall } from '../support/application'
import { fuzzListener } from './fuzzListener'
import { fuzzReader } from './readers'
import { seededRandom } from './random'
import { searchSlow } from './searchSlow'

// npm run fuzz -- [COUNT] [SEED]
// npm run fuzz -- slow [SECONDS] [SEED] [KIND]: the slowest input of each kind from outside
if (process.argv[2] === 'slow') {
  const [seconds = '60', seed = '1', kind] = process.argv.slice(3)
  let tooSlow = 0
  await searchSlow(seededRandom(Number(seed)), Number(seconds), kind, (found) => {
    tooSlow += Number(found.isTooSlow) + found.failures.length
    console.log(
      `${found.isTooSlow ? '!' : ' '} ${found.kind}: ${Math.round(found.tried)} ms at 200 kB, ${found.whole === null ? 'over 20,000' : Math.round(found.whole)} ms at ${found.bytes / 1_000_000} MB, by ${found.words}`,
    )
    for (const failure of found.failures.slice(0, 3)) console.log(`    ${failure}`)
  })
  process.exit(tooSlow === 0 ? 0 : 1)
}

const count = Number(process.argv[2] ?? 10_000)
const seed = Number(process.argv[3] ?? Math.floor(Date.now() / 1000))
const READER_MS = 500

console.log(`${count} requests and ${count} texts, seed ${seed}`)
const running = await startSmall({ ELOGIO_THROTTLE: 'off', LOG_LEVEL: 'silent' })
try {
  const { failures, ...report } = await fuzzListener(running, seededRandom(seed), count)
  console.log(report)
  const random = seededRandom(seed)
  for (let i = 0; i < count; i++) {
    const failure = fuzzReader(random, READER_MS)
    if (failure) failures.push(failure)
  }
  for (const failure of failures.slice(0, 20)) console.log(failure)
  console.log(`${failures.length} failures, ${report.faults} faults`)
  process.exitCode = failures.length + report.faults === 0 ? 0 : 1
} finally {
  await running.stop()
}
