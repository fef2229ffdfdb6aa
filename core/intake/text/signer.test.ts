import { expect, test } from 'vitest'
import { readText } from './readText'
import { signerAbout } from './signer'

test.each([
  ['Great kit.\n\nAnna Berg\nHead Gardener, Oak & Co', 'Anna Berg', 'Head Gardener', 'Oak & Co'],
  ['“Great kit.” — Anna Berg, Head Gardener at Oak Lane', 'Anna Berg', 'Head Gardener', 'Oak Lane'],
  ['Best,\nTom Ruiz\nOperations\nHighfield Farm Ltd.', 'Tom Ruiz', 'Operations', 'Highfield Farm Ltd.'],
  [
    'Viele Grüße\nJana Kolb\nGeschäftsführerin | Waldhof GmbH',
    'Jana Kolb',
    'Geschäftsführerin',
    'Waldhof GmbH',
  ],
  ['Merci !\nLucie Ferrand, apicultrice', 'Lucie Ferrand', 'apicultrice', ''],
  ['Thanks\nAda Finch (Bramble Bakery)', 'Ada Finch', '', 'Bramble Bakery'],
  // A place, a sentence, an address and a number are neither.
  ['Thanks\nAda Finch, Leeds', 'Ada Finch', '', ''],
  ['Ada Finch said the head of the smoker is good.', 'Ada Finch', '', ''],
  ['Thanks\nAda Finch\nada@finch.example\n0113 496 0000', 'Ada Finch', '', ''],
  ['Good.\nAda Finch\n\nThe owner of the shop was kind.', 'Ada Finch', '', ''],
])('%j', (text, name, role, company) => {
  expect(signerAbout(text, name)).toEqual({ role, company })
})

test('a pasted message brings them along', () => {
  const [review] = readText(
    'Hello,\nthe extractor has paid for itself in one season.\n\nKind regards\nAnna Berg\nHead Gardener, Oak & Co\n',
  )
  expect(review).toMatchObject({ authorName: 'Anna Berg', role: 'Head Gardener', company: 'Oak & Co' })
  expect(review!.body).not.toContain('Oak')
})
