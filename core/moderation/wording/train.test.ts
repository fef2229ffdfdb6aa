import { expect, test } from 'vitest'
import { readWords } from '../reading'
import { modelOf, type Verdict } from './model'
import { startingModel } from './starting'
import { taughtBy, train, type Lesson } from './train'

const lesson = (body: string, verdict: Verdict): Lesson => ({
  words: readWords({ title: '', body }).words,
  verdict,
})
const logOdds = (model: ReturnType<typeof startingModel>, body: string) =>
  model.logOdds(readWords({ title: '', body }).words)

const lessons = [
  lesson('Borrow money from our honest lender today', 'spam'),
  lesson('Spin the slots and win a bonus', 'spam'),
  lesson('The soup was warm and the bread fresh', 'honest'),
  lesson('My shoes arrived in the wrong size', 'honest'),
]

test('the same lessons give the same model, which tells them apart', () => {
  const [one, other] = [train(lessons), train(lessons)]
  expect(one.bias).toBe(other.bias)
  expect(one.weights).toEqual(other.weights)
  const model = modelOf(one)
  for (const { words, verdict } of lessons) expect(model.logOdds(words) > 0).toBe(verdict === 'spam')
})

test('what each word says adds up to what the text says', () => {
  const model = startingModel()
  const { words } = readWords({ title: '', body: 'Borrow money today, the soup was warm' })
  const whole = model.logOdds(words)
  const nothing = model.logOdds([])
  expect(model.ofWords(words).reduce((sum, one) => sum + one, nothing)).toBeCloseTo(whole, 5)
})

test('three decisions on a new kind teach the fourth, and leaving one out unteaches exactly what it taught', () => {
  const model = startingModel()
  const guild = [
    'The guild of dowsers finds water veins under your house with the blue pendulum',
    'Let the guild of dowsers rid your bedroom of water veins',
    'A blue pendulum of the dowsers guild showed me the vein under my bed',
  ].map((body) => lesson(body, 'spam'))
  const fourth = 'Blue pendulum, dowsers guild: we free houses from water veins'
  expect(logOdds(model, fourth)).toBeLessThan(0.8)
  const taught = model.withTaught(taughtBy(model, guild))
  expect(logOdds(taught, fourth)).toBeGreaterThan(0.8)
  // The shared model itself has learnt nothing, and customers are not hurt.
  expect(logOdds(taught, 'The soup was warm and the bread fresh')).toBeLessThan(0)
  const without = taughtBy(model, [...guild, lesson('Spin and win', 'spam')].slice(0, 3))
  expect(without).toEqual(taughtBy(model, guild))
})

test('hundreds of approved reviews do not make the model blind', () => {
  const model = startingModel()
  const things = ['bread', 'soap', 'bicycle', 'lamp', 'kettle', 'jacket', 'honey', 'table', 'coat', 'knife']
  const approved = Array.from({ length: 200 }, (_, i) =>
    lesson(
      `I bought the ${things[i % 10]} for my ${i} year old and it is the best of all, write to us any day`,
      'honest',
    ),
  )
  const taught = model.withTaught(taughtBy(model, approved))
  for (const spam of [
    'Our agency brings your shop to the top of every search engine, ask for backlinks and traffic',
    'We lend money to anybody at two percent, no collateral, write to us today',
  ])
    expect(logOdds(taught, spam)).toBeGreaterThan(0.7)
})
