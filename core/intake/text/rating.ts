import { hundredthsOfFive } from '../../formats/rating'
import type { Found } from './found'

/** A rating as written and in hundredths of five. */
export interface GivenRating {
  given: number
  scale: number
  hundredths: number
}

const words: Record<string, number> = {
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  ein: 1,
  einen: 1,
  zwei: 2,
  drei: 3,
  vier: 4,
  fünf: 5,
  une: 1,
  un: 1,
  deux: 2,
  trois: 3,
  quatre: 4,
  cinq: 5,
  una: 1,
  dos: 2,
  tres: 3,
  cuatro: 4,
  cinco: 5,
  jedna: 1,
  dwie: 2,
  trzy: 3,
  cztery: 4,
  pięć: 5,
  uno: 1,
  due: 2,
  tre: 3,
  quattro: 4,
  cinque: 5,
  één: 1,
  twee: 2,
  drie: 3,
  vijf: 5,
}
const number = String.raw`\d{1,3}(?:[.,]\d)?`
const spelt = Object.keys(words).join('|')
const star = String.raw`(?:stars?|sterne?n?|étoiles?|etoiles?|estrellas?|gwiazdk[iaę]|gwiazdek|stelle|stella|sterren|ster)`
const outOf = String.raw`(?:\/|out\s+of|von|sur|de|su|na|van|of|av|af)`
const label = String.raw`(?:rating|rated|score|stars?|bewertung|note|wertung|nota|ocena|valutazione|voto|puntuación|puntuacion|beoordeling|cijfer|betyg|karakter)`

const lit = '★⭐🌟'
const glyphs = new RegExp(`[${lit}](?:\\uFE0F?\\s?[${lit}☆])*\\uFE0F?(?:\\s?☆)*`, 'gu')
const asterisks = /(?<![*\w])\*{3,5}(?![*\w])/gu

interface Notation {
  pattern: RegExp
  read: (match: RegExpMatchArray) => { given: number; scale: number } | null
}

const toNumber = (text: string) => words[text.toLowerCase()] ?? Number(text.replace(',', '.'))
const scales = new Set([5, 10, 20, 100])

/** From the clearest notation to the vaguest; the first match wins. */
const notations: Notation[] = [
  {
    pattern: glyphs,
    read: ([run]) => ({ given: [...run].filter((glyph) => lit.includes(glyph)).length, scale: 5 }),
  },
  {
    pattern: new RegExp(
      `(?<![\\d/.,-])(${number}|${spelt})\\s*${outOf}\\s*(\\d{1,3}|five|ten|fünf|zehn|cinq|cinco|diez|dix)(?:\\s*${star})?(?![\\d/%]|[.,]\\d)`,
      'giu',
    ),
    read: ([, given, scale]) => {
      const top =
        { five: 5, ten: 10, fünf: 5, zehn: 10, cinq: 5, cinco: 5, diez: 10, dix: 10 }[scale!.toLowerCase()] ??
        Number(scale)
      return scales.has(top) ? { given: toNumber(given!), scale: top } : null
    },
  },
  {
    pattern: new RegExp(`(?<![\\d/.,-])(${number}|${spelt})[\\s-]*${star}(?![\\p{L}])`, 'giu'),
    read: ([, given]) => ({ given: toNumber(given!), scale: 5 }),
  },
  {
    pattern: new RegExp(`(?<!\\p{L})${label}\\s*[:=–-]\\s*(${number})\\s*%`, 'giu'),
    read: ([, given]) => ({ given: toNumber(given!), scale: 100 }),
  },
  {
    pattern: new RegExp(`(?<!\\p{L})${label}\\s*[:=–-]\\s*(${number}|${spelt})(?![\\d/%])`, 'giu'),
    read: ([, given]) => {
      const value = toNumber(given!)
      return value <= 5 ? { given: value, scale: 5 } : value <= 10 ? { given: value, scale: 10 } : null
    },
  },
  { pattern: asterisks, read: ([run]) => ({ given: run.length, scale: 5 }) },
  // "great soap (5)": a number in brackets counts only at the end of the text.
  {
    pattern: /\(\s*([1-5](?:[.,]5)?)\s*\)\s*$/gu,
    read: ([, given]) => ({ given: toNumber(given!), scale: 5 }),
  },
]

/** The rating in a text with its place, in any notation; null if there is none. */
export function findRating(text: string): (Found & { rating: GivenRating }) | null {
  for (const { pattern, read } of notations) {
    for (const match of text.matchAll(pattern)) {
      const rating = read(match)
      if (!rating || !(rating.given >= 0) || rating.given > rating.scale) continue
      // "24/7", "5/10/2026" and days of the month are no ratings.
      if (/\b(?:on|am|le|el|il|op|dnia)\s+$/iu.test(text.slice(0, match.index))) continue
      return {
        start: match.index,
        end: match.index + match[0].length,
        rating: { ...rating, hundredths: hundredthsOfFive(rating.given, rating.scale) },
      }
    }
  }
  return null
}
