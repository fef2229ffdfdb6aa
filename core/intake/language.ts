import { francAll } from 'franc'

const known: Record<string, string> = {
  eng: 'en',
  deu: 'de',
  spa: 'es',
  fra: 'fr',
  pol: 'pl',
  ita: 'it',
  nld: 'nl',
  por: 'pt',
  swe: 'sv',
}

/** Below this length in UTF-16 units a guess says only whether the usual language is possible. */
const MIN_LENGTH = 40
/** Below this length, a language that nobody expects has to be much clearer. */
const MIN_LENGTH_TO_SURPRISE = 120

/** The minimum distance to the second best guess, on franc's scale from 0 to 1. */
const CLEAR_BY = 0.08
const CLEAR_BY_OF_SURPRISE = 0.15
/** The usual language of a short text is possible among so many best guesses. */
const POSSIBLE = 2

/** What is known of a writer's language before anything is read. BCP 47 tags without a region. */
interface ExpectedLanguages {
  /** That of the form which she read, or else the shop's; null if there is none. */
  usual: string | null
  /** Those of the shop's customers. */
  served: readonly string[]
}

/** @param read the language in which the customer read the form; null if she read none */
export const expectedLanguages = (
  { locale, languages }: { locale: string; languages: readonly string[] },
  read: string | null = null,
): ExpectedLanguages => ({ usual: read ?? locale.slice(0, 2), served: languages })

const nothingExpected: ExpectedLanguages = { usual: null, served: [] }

/**
 * The language of a text as a BCP 47 tag. A short text is in the usual language if that is possible, and in another one
 * only if it is clear. Null if nothing can be told.
 */
export function languageOf(
  text: string,
  { usual, served }: ExpectedLanguages = nothingExpected,
): string | null {
  const given = text.trim()
  const guesses = francAll(given, { only: Object.keys(known), minLength: 1 }).flatMap(([code, likeness]) => {
    const language = known[code]
    return language ? [{ language, likeness }] : []
  })
  const [best, second] = guesses
  if (!best) return null
  const isUsual = guesses.slice(0, POSSIBLE).some(({ language }) => language === usual)
  if (given.length < MIN_LENGTH) return isUsual ? usual : null
  const lead = best.likeness - (second?.likeness ?? 0)
  const isExpected = usual === null || best.language === usual || served.includes(best.language)
  const isShort = given.length < MIN_LENGTH_TO_SURPRISE
  if (lead >= (isShort && !isExpected ? CLEAR_BY_OF_SURPRISE : CLEAR_BY)) return best.language
  return isShort && best.language === usual ? usual : null
}
