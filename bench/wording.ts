import { wordingTexts, type WordingText } from '../cli/trainWording'
import { modelOf } from '../core/moderation/wording/model'
import { interval } from './share'
import { randomFrom, train } from '../core/moderation/wording/train'
import { naiveBayes } from './naiveBayes'

/**
 * How the text model does on what it has not met: made without a kind of spam and a tenth of the honest texts, it
 * is tried on these; then without a language. Naive Bayes is tried in the same way. Everything is in the shares of
 * the texts themselves.
 */
const FOLDS = 10
const random = randomFrom(3)
const texts = wordingTexts().map((text) => ({ ...text, fold: Math.floor(random() * FOLDS) }))
type Text = (typeof texts)[number]
interface Tried extends WordingText {
  logOdds: number
}

type Made = (lessons: Text[]) => { logOdds(words: WordingText['words']): number }

const regression: Made = (lessons) => modelOf(train(lessons))

function tried(isTest: (text: Text) => boolean, made = regression): Tried[] {
  const model = made(texts.filter((text) => !isTest(text)))
  return texts.filter(isTest).map((text) => ({ ...text, logOdds: model.logOdds(text.words) }))
}

const kinds = [...new Set(texts.filter(({ verdict }) => verdict === 'spam').map(({ kind }) => kind))]
const ofKind = ({ kind, verdict, fold }: Text) =>
  verdict === 'honest' || kind === 'mixed' ? fold : kinds.indexOf(kind) % FOLDS
const withoutKinds = (made: Made) =>
  Array.from({ length: FOLDS }, (_, fold) => tried((text) => ofKind(text) === fold, made)).flat()
const byKind = withoutKinds(regression)
const limits = limitsOf(byKind)
const bayes = withoutKinds(naiveBayes)
console.log(
  `log-odds above which 1, 2 and 4 of 100 honest texts are: ${limits.map((one) => one.toFixed(2)).join(', ')}`,
)
report(
  'naive Bayes, without its kind',
  bayes,
  ({ language }) => (language === 'en' ? 'en' : 'others'),
  limitsOf(bayes)[1],
)
report('without its kind', byKind, ({ kind }) => kind)
report('by language', byKind, ({ language }) => language)
report('by length', byKind, ({ words }) =>
  words.length < 8 ? 'under 8 words' : words.length < 20 ? '8 to 19' : '20 and more',
)
const languages = [...new Set(texts.map(({ language }) => language))].filter((one) => one !== 'en')
report(
  'without its language',
  languages.flatMap((language) => tried((text) => text.language === language)),
  ({ language }) => language,
)

function report(what: string, rows: Tried[], groupOf: (row: Tried) => string, held = limits[1]!): void {
  console.log(`\n${what} (held at ${held.toFixed(2)})`)
  const line = (name: string, some: Tried[]) => {
    const share = (verdict: 'spam' | 'honest') => {
      const own = some.filter((row) => row.verdict === verdict)
      return interval(own.filter(({ logOdds }) => logOdds > held).length, own.length)
    }
    console.log(`  ${name.padEnd(16)} spam ${share('spam').padEnd(32)} honest ${share('honest')}`)
  }
  line('all', rows)
  for (const name of [...new Set(rows.map(groupOf))].toSorted())
    line(name, rows.filter((row) => groupOf(row) === name)) // oxfmt-ignore
}

/** The log-odds above which 1, 2 and 4 of 100 honest texts are. */
function limitsOf(rows: Tried[]): number[] {
  const honest = rows.filter(({ verdict }) => verdict === 'honest').map(({ logOdds }) => logOdds)
  return [0.01, 0.02, 0.04].map((share) => quantile(honest, 1 - share))
}

function quantile(values: number[], at: number): number {
  return values.toSorted((a, b) => a - b)[Math.min(values.length - 1, Math.floor(at * values.length))]!
}
