import { messageCode } from '../../messages/code'
import { listTag } from '../plainWord'
import { findPhrases, phrasesOf } from '../phrases'
import { placeOf, type Reading } from '../reading'
import { quoted, withoutOverlaps, type Signal } from '../signal'
import { abusive, anywhere, everyday } from './abusiveWords'

/** Wishes of harm to people, whatever the words around them. */
const harm = phrasesOf(
  'kys',
  'kill yourself/yourselves',
  'go hang yourself/yourselves',
  'hope/hoping/wish you/he/she/they die/rot',
  'burn in hell',
  'hope your family/kids/children *2 die/dies',
  'deserve/deserves to die',
  'you should be dead/shot/hanged',
  'bring dich/euch um',
  'verreck/verrecke/verreckt',
  'verdient den tod',
  'creve/crevez charogne/ordure/ordures',
  'va te pendre/crever',
  'ojala te/se mueras/mueran/muera',
  'matate/matense',
  'ammazzati/ammazzatevi',
  'devi/dovete morire',
  'zdechnij/zdychaj',
)

/** Insults and wishes of harm hold a review back without points, because they aren't spam. */
export function abuseSignal(reading: Reading): Signal | null {
  const { words } = reading
  const suspects = words.filter(
    ({ plain, spelt, tags }) => tags & listedTag || (spelt !== plain && listed.has(spelt)),
  )
  const wishes = findPhrases(reading, harm).map(placeOf)
  if (suspects.length + wishes.length === 0) return null
  const language = languageOf(reading)
  const own = language === null ? null : new Set(abusive[language])
  const insults = suspects
    .filter(({ plain, spelt }) =>
      [plain, spelt].some((word) => anywhere.has(word) || (own?.has(word) ?? true)),
    )
    .map(placeOf)
  const places = withoutOverlaps([...insults, ...wishes])
  if (places.length === 0) return null
  return {
    kind: 'abuse',
    points: 0,
    headline: messageCode('signal.abuse'),
    detail: quoted(reading, places),
    places,
  }
}

const listed = new Set(Object.values(abusive).flat())
const listedTag = listTag(listed)

/** The language with the most common words; null if there is no clear one. */
function languageOf({ words }: Reading): string | null {
  const counts = Object.entries(everyday)
    .map(([language, common]) => ({
      language,
      count: words.reduce((sum, { plain }) => sum + (common.includes(plain) ? 1 : 0), 0),
    }))
    .sort((a, b) => b.count - a.count)
  return counts[0]!.count > counts[1]!.count ? counts[0]!.language : null
}
