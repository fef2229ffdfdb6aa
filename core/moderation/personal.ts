import { orderNumberKey } from '../proof/orderNumber'
import { say } from '../words/say'
import { placesOf, stretches, textAt, type Place, type Signal, type Words } from './signal'

type Stretch = { start: number; end: number }

const mailbox = /[\p{L}\p{N}._%+-]+@[\p{L}\p{N}-]+(?:\.[\p{L}\p{N}-]+)*\.\p{L}{2,}/gu

const phoneLike = /(?<![\p{L}\p{N}.,/-])(?:\+|00|\(?0)\d(?:[\s()./-]{0,2}\d){5,13}(?![\p{L}\p{N}])/gu
const dateLike = /^\d{1,4}[./-]\d{1,2}[./-]\d{1,4}$/u

const streets = [
  /\b\d{1,4}[a-z]?,?\s+(?:\p{Lu}[\p{L}'’-]+\s+){1,3}(?:Street|St|Road|Rd|Lane|Ln|Avenue|Ave|Drive|Close|Court|Crescent|Terrace|Place|Square|Way)\b/gu,
  /(?<!\p{L})(?:\p{Lu}[\p{L}-]+\s?(?:straße|strasse|str\.|weg|gasse|allee|platz|Straße|Weg|Platz|Allee))\s+\d{1,4}\s?[a-z]?(?![\p{L}\p{N}])/gu,
  /\b\d{1,4},?\s+(?:bis\s+|ter\s+)?(?:rue|avenue|boulevard|chemin|impasse|allée)\s+(?:(?:de|du|des|la|le|les)\s+|l['’]|d['’])*\p{Lu}[\p{L}-]+/gu,
  /(?<!\p{L})(?:calle|avenida|paseo|plaza|camino)\s+(?:(?:de|del|la|las|los)\s+)*\p{Lu}[\p{L}-]+(?:\s+\p{Lu}[\p{L}-]+)*,?\s+(?:n[.º°]?\s*)?\d{1,4}\b/giu,
  /(?<!\p{L})(?:ul\.|ulica|al\.)\s+\p{Lu}[\p{L}-]+(?:\s+\p{Lu}[\p{L}-]+)*\s+\d{1,4}[a-z]?\b/gu,
  /\b[A-Z]{1,2}\d[A-Z\d]?\s\d[A-Z]{2}\b/gu,
]

/** A code in which letters and digits meet ("WB-2207"): a stretch that may be an order number. */
const codeLike = /(?<![\p{L}\p{N}])#?\p{L}{1,5}[\s-]?\d{3,10}(?![\p{L}\p{N}])/gu
const namedNumber =
  /\b(?:order|bestellung|bestellnummer|auftrag|commande|pedido|zam[oó]wienie)(?:\s+(?:is|ist|est|es|was|number|nummer|nr\.?|no\.?|num[eé]ro|n[.º°]))*\s*[:#]?\s*(?<at>#?(?:\p{L}{1,5}[\s-]?)?\d{3,10})(?![\p{L}\p{N}])/giu

/** Keys of everything in the words that could be an order number, for looking up which ones are. */
export function orderNumberCandidates(words: Words): string[] {
  const places = placesOf(words, (text) => stretches(text, codeLike))
  return [...new Set(places.map((place) => orderNumberKey(textAt(words, place))))]
}

function phones(text: string): Stretch[] {
  return stretches(text, phoneLike).filter(({ start, end }) => !dateLike.test(text.slice(start, end)))
}

function orderNumbers(text: string, known: Set<string>): Stretch[] {
  const exact = stretches(text, codeLike).filter(({ start, end }) =>
    known.has(orderNumberKey(text.slice(start, end))),
  )
  return [...exact, ...stretches(text, namedNumber)]
}

/**
 * Personal data in the words: phone, mailbox, street address, order number. It holds a review without points, since
 * it says nothing about spam.
 * @param knownOrderKeys which of `orderNumberCandidates` are orders of this shop
 */
export function personalSignal(words: Words, knownOrderKeys: string[]): Signal | null {
  const known = new Set(knownOrderKeys)
  const sorts = [
    { name: say('personal.phone'), find: phones },
    { name: say('personal.mailbox'), find: (text: string) => stretches(text, mailbox) },
    {
      name: say('personal.street'),
      find: (text: string) => streets.flatMap((street) => stretches(text, street)),
    },
    { name: say('personal.orderNumber'), find: (text: string) => orderNumbers(text, known) },
  ]
  const found = sorts
    .map(({ name, find }) => ({ name, places: withoutOverlaps(placesOf(words, find)) }))
    .filter(({ places }) => places.length > 0)
  if (found.length === 0) return null
  return {
    kind: 'personal',
    points: 0,
    headline: say('signal.personal', { what: joined(found.map(({ name }) => name)) }),
    detail: say('signal.personalDetail'),
    places: withoutOverlaps(found.flatMap(({ places }) => places)),
  }
}

function joined(names: string[]): string {
  return names.length < 2
    ? (names[0] ?? '')
    : `${names.slice(0, -1).join(', ')} ${say('and')} ${names.at(-1)}`
}

function withoutOverlaps(places: Place[]): Place[] {
  const kept: Place[] = []
  for (const place of places.toSorted((a, b) => a.start - b.start || b.end - a.end)) {
    if (
      !kept.some((other) => other.field === place.field && place.start < other.end && other.start < place.end)
    )
      kept.push(place)
  }
  return kept
}
