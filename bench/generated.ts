import type { Candidate } from '../core/intake/candidate'
import { brought } from '../tests/support/brought'

const phrases = [
  'the lid fits',
  'a sturdy box',
  'came late',
  'we like it',
  'easy to clean',
  'honey all over',
] as const

/** Made-up reviews, the same in each run. */
export function* generated(count: number): Generator<Candidate> {
  for (let i = 0; i < count; i++) {
    const length = 3 + (i % 5)
    const body = Array.from({ length }, (_, at) => phrases[(i * 7 + at * 3) % phrases.length]).join(', ')
    yield brought(String(i).padStart(8, '0'), {
      body,
      rating: { value: 1 + ((i * 13) % 5), scale: 5 },
      productSku: `SKU-${1 + (i % 18)}`,
      arrivesAs: i % 10 === 0 ? 'waiting' : 'approved',
    })
  }
}
