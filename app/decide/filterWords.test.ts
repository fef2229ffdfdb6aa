import { expect, test } from 'vitest'
import { sentenceParts } from './filterWords'

const words = (filter: Parameters<typeof sentenceParts>[0]) =>
  sentenceParts(filter, { 'HK-2': 'Hive kit' }).map(({ words: said }) => said)

test('only what narrows is said, each in its own words', () => {
  expect(words({ lane: 'held' })).toEqual([])
  expect(
    words({
      rating: 2,
      product: 'HK-2',
      source: 'form',
      language: 'de',
      bought: 'yes',
      words: 'no',
      needsReply: 'yes',
    }),
  ).toEqual([
    'rating 2',
    'about Hive kit',
    'through the form',
    'in German',
    'verified buyers',
    'only a rating',
    'needs a reply',
  ])
  expect(words({ rating: 0, product: '-', from: '2026-05-03', to: '2026-05-09', tag: 'course' })).toEqual([
    'no rating',
    'about the shop in general',
    'tagged course',
    'since 2026-05-03 until 2026-05-09',
  ])
})
