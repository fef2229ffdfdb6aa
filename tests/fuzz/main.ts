import { startSmall } from '../support/application'
import { fuzzListener } from './fuzzListener'
import { fuzzReader } from './readers'
import { seededRandom } from './random'

// npm run fuzz -- [COUNT] [SEED]
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
