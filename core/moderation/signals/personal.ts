import { orderNumberKey } from '../../proof/orderNumber'
import { listTag, wordTags } from '../plainWord'
import { hasTag, seenSigns, type Reading } from '../reading'
import { messageCode } from '../../messages/code'
import { spelledOutEmails } from './spelledOutEmails'
import { placesOf, stretches, textAt, withoutOverlaps, type Signal, type Words } from '../signal'

type Stretch = { start: number; end: number }

const emailAddress = /[\p{L}\p{N}._%+-]+@[\p{L}\p{N}-]+(?:\.[\p{L}\p{N}-]+)*\.\p{L}{2,}/gu

const phoneLike = /(?<![\p{L}\p{N}.,/-])(?:\+|00|\(?0)\d(?:[\s()./-]{0,2}\d){5,13}(?![\p{L}\p{N}])/gu
/** Without a leading 0, a number is a phone number only if the text says so. */
const namedPhone =
  /(?<!\p{L})(?:call|ring|text|phone|tel|telephone|mobile|cell|number|nummer|telefon|handy|t[ée]l[ée]phone|m[oó]vil|tel[ée]fono|cellulare|numero|n[uú]mero|bel|telefoon|numer)\.?(?:\s+(?:me|us|is|ist|est|es|è|at|on|unter|an|au|al|no|number|mich|my))*\s*[:.]?\s*(?<at>\(?\d{3,4}\)?(?:[\s./-]?\d{2,4}){1,3})(?![\p{L}\p{N}])/giu
const dateLike = /^\d{1,4}[./-]\d{1,2}[./-]\d{1,4}$/u

const streets = [
  /\b\d{1,4}[a-z]?,?\s+(?:\p{Lu}[\p{L}'’-]+\s+){1,3}(?:Street|St|Road|Rd|Lane|Ln|Avenue|Ave|Drive|Close|Court|Crescent|Terrace|Place|Square|Way)\b/gu,
  /(?<!\p{L})(?:\p{Lu}[\p{L}-]+\s?(?:straße|strasse|str\.|weg|gasse|allee|platz|Straße|Weg|Platz|Allee))\s+\d{1,4}\s?[a-z]?(?![\p{L}\p{N}])/gu,
  /\b\d{1,4},?\s+(?:bis\s+|ter\s+)?(?:rue|avenue|boulevard|chemin|impasse|allée)\s+(?:(?:de|du|des|la|le|les)\s+|l['’]|d['’])*\p{Lu}[\p{L}-]+/gu,
  /(?<!\p{L})(?:calle|avenida|paseo|plaza|camino)\s+(?:(?:de|del|la|las|los)\s+)*\p{Lu}[\p{L}-]+(?:\s+\p{Lu}[\p{L}-]+)*,?\s+(?:n[.º°]?\s*)?\d{1,4}\b/giu,
  /(?<!\p{L})(?:ul\.|ulica|al\.)\s+\p{Lu}[\p{L}-]+(?:\s+\p{Lu}[\p{L}-]+)*\s+\d{1,4}[a-z]?\b/gu,
  /(?<!\p{L})(?:[Vv]ia|[Vv]iale|[Pp]iazza|[Cc]orso)\s+(?:(?:de|del|della|dei|di|San|Santa)\s+)*\p{Lu}[\p{L}’'-]+(?:\s+\p{Lu}[\p{L}’'-]+)*,?\s+\d{1,4}[a-z]?\b/gu,
  /(?<!\p{L})\p{Lu}[\p{L}-]+(?:straat|laan|weg|plein|gracht|kade|gatan|vägen|gatan)\s+\d{1,4}\s?[a-z]?(?![\p{L}\p{N}])/gu,
  /(?<!\p{L})(?:[Rr]ua|[Aa]venida|[Pp]raça)\s+(?:(?:de|do|da|dos|das)\s+)*\p{Lu}[\p{L}-]+(?:\s+\p{Lu}[\p{L}-]+)*,?\s+\d{1,4}\b/gu,
  /\b[A-Z]{1,2}\d[A-Z\d]?\s\d[A-Z]{2}\b/gu,
]

/** A code of letters and digits ("WB-2207"), which can be an order number. */
const codeLike = /(?<![\p{L}\p{N}])#?\p{L}{1,5}[\s-]?\d{3,10}(?![\p{L}\p{N}])/gu
const namedNumber =
  /\b(?:order|bestellung|bestellnummer|auftrag|commande|pedido|zam[oó]wienie)(?:\s+(?:is|ist|est|es|was|number|nummer|nr\.?|no\.?|num[eé]ro|n[.º°]))*\s*[:#]?\s*(?<at>#?(?:\p{L}{1,5}[\s-]?)?\d{3,10})(?![\p{L}\p{N}])/giu

/** The keys of all possible order numbers in a text. */
export function orderNumberCandidates(words: Words): string[] {
  const places = placesOf(words, (text) => stretches(text, codeLike))
  return [...new Set(places.map((place) => orderNumberKey(textAt(words, place))))]
}

function mayBeEmail(reading: Reading): boolean {
  if (reading.signs & seenSigns.at) return true
  const joined =
    (reading.signs & (seenSigns.joint | seenSigns.bracket)) !== 0 || hasTag(reading, wordTags.dot)
  return joined && reading.words.some(({ plain }) => plain === 'at')
}

function emailAddresses(text: string): Stretch[] {
  return [...(text.includes('@') ? stretches(text, emailAddress) : []), ...spelledOutEmails(text)]
}

/** Words that the slower patterns need. */
const phoneWords = listTag(
  'call ring text phone tel telephone mobile cell number nummer telefon handy movil telefono cellulare numero bel telefoon numer'.split(
    ' ',
  ),
)
const orderWords = listTag('order bestellung bestellnummer auftrag commande pedido zamowienie'.split(' '))

function phones(text: string, named: boolean): Stretch[] {
  return [
    ...stretches(text, phoneLike),
    ...(named ? stretches(text, namedPhone).filter(longEnough(text)) : []),
  ].filter(({ start, end }) => !dateLike.test(text.slice(start, end)))
}

const longEnough = (text: string) => (at: Stretch) =>
  text.slice(at.start, at.end).replace(/\D/g, '').length >= 7

function orderNumbers(text: string, known: Set<string>, named: boolean): Stretch[] {
  const codes = known.size === 0 ? [] : stretches(text, codeLike)
  const exact = codes.filter(({ start, end }) => known.has(orderNumberKey(text.slice(start, end))))
  return [...exact, ...(named ? stretches(text, namedNumber) : [])]
}

/**
 * Personal data in the text: phone, email address, street address, order number. It holds a review back
 * without points, because it isn't spam.
 * @param knownOrderKeys those of `orderNumberCandidates` that are orders of this shop
 */
export function personalSignal(words: Reading, knownOrderKeys: string[]): Signal | null {
  if (words.figures === 0 && !mayBeEmail(words)) return null
  const known = new Set(knownOrderKeys)
  // Each is searched only if the text has the characteristics that it needs.
  const sorts = [
    {
      name: 'phone',
      may: words.figures >= 6,
      find: (text: string) => phones(text, hasTag(words, phoneWords)),
    },
    { name: 'mailbox', may: mayBeEmail(words), find: emailAddresses },
    {
      name: 'street',
      may: words.figures >= 1 && hasTag(words, wordTags.street),
      find: (text: string) => streets.flatMap((street) => stretches(text, street)),
    },
    {
      name: 'orderNumber',
      may: words.figures >= 3,
      find: (text: string) => orderNumbers(text, known, hasTag(words, orderWords)),
    },
  ] as const
  const found = sorts
    .filter(({ may }) => may)
    .map(({ name, find }) => ({ name, places: withoutOverlaps(placesOf(words, find)) }))
    .filter(({ places }) => places.length > 0)
  if (found.length === 0) return null
  return {
    kind: 'personal',
    points: 0,
    headline: messageCode('signal.personal'),
    detail: [
      ...found.map(({ name }) => messageCode(`personal.${name}`)),
      messageCode('signal.personalDetail'),
    ].join('\n'),
    places: withoutOverlaps(found.flatMap(({ places }) => places)),
  }
}
