import { randomFrom } from '../core/moderation/wording/train'
import { assessRows, isStopped } from './assessRows'
import { OWN_DOMAIN, readLabelled } from './labelled/read'
import { interval } from './share'

/**
 * Which share of the spam that is recognised still is after a sender has rewritten it, by the way of rewriting; the
 * honest reviews with slips of the keyboard beside it.
 */
const random = randomFrom(5)
const pick = (list: string[]) => list[Math.floor(random() * list.length)]!
const eachWord = (text: string, change: (word: string, i: number) => string) =>
  text.split(' ').map(change).join(' ')
const swapped = (letters: Record<string, string>) => (text: string) =>
  [...text].map((letter) => letters[letter] ?? letter).join('')
const shifted = (from: number) => (text: string) =>
  text.replace(/[a-z]/g, (letter) => String.fromCodePoint(from + letter.charCodeAt(0) - 97))
const long = (word: string) => /^[a-z]{5,}$/iu.test(word)

const rewritings: Record<string, (text: string) => string> = {
  'as it was': (text) => text,
  'digits for letters': swapped({ a: '4', e: '3', i: '1', o: '0' }),
  'look-alike letters in every third word': (text) =>
    eachWord(text, (word, i) =>
      i % 3 === 0 ? swapped({ a: 'а', e: 'е', o: 'о', c: 'с', p: 'р' })(word) : word,
    ),
  'invisible characters': (text) =>
    eachWord(text, (word) => (long(word) ? `${word.slice(0, 2)}\u200b${word.slice(2)}` : word)),
  'full width': shifted(0xff41),
  'letters in circles': shifted(0x24d0),
  'bold letters of mathematics': shifted(0x1d41a),
  'spaces between the letters of long words': (text) =>
    eachWord(text, (word) => (long(word) ? [...word].join(' ') : word)),
  'dots between the letters of long words': (text) =>
    eachWord(text, (word) => (long(word) ? [...word].join('.') : word)),
  'words backwards': (text) => eachWord(text, (word) => [...word].toReversed().join('')),
  capitals: (text) => text.toUpperCase(),
  'no spaces': (text) => text.replaceAll(' ', ''),
  'sentences in another order': (text) =>
    text
      .split(/(?<=[.!?])\s+/u)
      .toReversed()
      .join(' '),
  'a fifth of the words left out': (text) =>
    text.split(' ').filter(() => random() > 0.2).join(' '), // oxfmt-ignore
  'slips of the keyboard': slips,
  'a customer’s sentence before it': (text) => `${pick(customers)} ${text}`,
  'customers’ sentences around it': (text) => `${pick(customers)} ${text} ${pick(customers)}`,
}
const customers = [
  'The bread was fresh and the queue short.',
  'My parcel came on Tuesday and everything was in it.',
  'I bought the blue jacket for my son and he wears it every day.',
  'Die Lieferung kam pünktlich und das Regal steht gerade.',
]

/** Two letters change places in every fourth word. */
function slips(text: string): string {
  return eachWord(text, (word, i) => {
    if (i % 4 !== 0 || !long(word)) return word
    const at = 1 + Math.floor(random() * (word.length - 2))
    return word.slice(0, at) + word[at + 1] + word[at] + word.slice(at + 2)
  })
}

const rows = readLabelled()
const recognised = assessRows(rows, [OWN_DOMAIN]).filter((row) => row.label === 'spam' && isStopped(row))
const share = (some: typeof rows, rewrite: (text: string) => string) => {
  const assessed = assessRows(some.map((row) => ({ ...row, body: rewrite(row.body) })), [OWN_DOMAIN]) // oxfmt-ignore
  return interval(assessed.filter(isStopped).length, some.length)
}
for (const [name, rewrite] of Object.entries(rewritings))
  console.log(`${name.padEnd(42)} ${share(recognised, rewrite)}`)
const honest = rows.filter(({ label }) => label === 'honest')
console.log(`\nhonest reviews stopped, with slips of the keyboard: ${share(honest, slips)}`)
console.log(`in capitals: ${share(honest, (text) => text.toUpperCase())}`)
