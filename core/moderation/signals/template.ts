import { messageCode } from '../../messages/code'
import { findPhrases, phrasesOf } from '../phrases'
import { listTag } from '../plainWord'
import { hasTag, placeOf, seenSigns, type Reading } from '../reading'
import { placesOf, quoted, stretches, withoutOverlaps, type Place, type Signal } from '../signal'

/** Points for an unfinished generated text: unfilled gaps, or the instructions. */
const UNFINISHED = 64
/** Points for a text of stock phrases only; happy people in a hurry write like that too. */
const STOCK = 20
const MUCH_STOCK = 32
const FEWEST_PHRASES = 3
const MANY_PHRASES = 5
/** The share of words in stock phrases. */
const STOCK_SHARE = 0.6

const unfinished = [
  /\{[^{}\n]{1,60}\|[^{}\n]{1,60}\}/gu,
  /[{[<(]{1,2}\s*(?:(?:product|item|shop|store|company|brand|business|customer|first|your|insert)[ _-]?(?:name|title|here|product|item|shop)?|produkt(?:name)?|firmenname|nom du produit|nombre del producto|nome prodotto)\s*[}\]>)]{1,2}/giu,
  /\b(?:as an ai(?: language model)?|here(?:'s| is) (?:a|your) (?:positive |5[- ]star |five[- ]star )?review|write a (?:positive|glowing|5[- ]star|five[- ]star) review|lorem ipsum|review template)\b/giu,
]

const telltale = listTag(['ai', 'review', 'lorem', 'template'])

/** Phrases that fit anything. */
const stock = phrasesOf(
  'very/really/such/truly? good/great/excellent/amazing/best/perfect/superb/outstanding/top/nice/fantastic/awesome customer? product/item/quality/service/seller/company/price/experience/shop/store/communication',
  'fast/quick/prompt shipping/delivery/dispatch/service',
  'i? would/highly/strongly/definitely/totally/can? only? recommend/recommended it/this/them? product/company? to? everyone/anyone/all? my? friends?',
  'will/would definitely? buy/order/shop/use here/them? again',
  'five/5 star/stars',
  'very satisfied/happy/pleased/impressed with? this/the/my? product/purchase/order/service?',
  'exceeded all? my expectations',
  'as described',
  'value for money',
  'thank you so/very? much?',
  'must have',
  'best ever/in the? world?',
  'keep up the good work',
  'top notch',
  'number one',
  'super/gutes/tolles/bestes/beste/bester/gute/top/hervorragende/ausgezeichnete produkt/qualitat/service/preis/ware/shop/handler/verkaufer',
  'schneller/schnelle/schnell versand/lieferung/geliefert',
  'sehr/absolut/nur/jedem/unbedingt? empfehlenswert/empfehlen/weiterempfehlen',
  'gerne/immer wieder',
  'funf/5 sterne',
  'sehr zufrieden',
  'alles bestens/top',
  'tres/excellent/bon/super/parfait produit/service/vendeur',
  'qualite/prix parfaite/parfait/excellente/imbattable',
  'livraison rapide',
  'excellente/bonne/parfaite qualite',
  'je recommande vivement? a? tous/tout? le? monde?',
  'cinq/5 etoiles',
  'tres satisfait/satisfaite',
  'buen/excelente/gran/mejor producto/servicio/precio/vendedor',
  'buena/mejor/excelente calidad',
  'envio rapido',
  'lo? recomiendo a? todos/todo? el? mundo?',
  'cinco/5 estrellas',
  'muy satisfecho/satisfecha/contento/contenta',
  'ottimo/buon/eccellente/miglior prodotto/servizio/prezzo/venditore',
  'ottima/buona/eccellente qualita',
  'spedizione veloce',
  'lo? consiglio a? tutti?',
  'cinque/5 stelle',
  'molto soddisfatto/soddisfatta/contento/contenta',
  'geweldig/goed/top/prima/uitstekend product/service',
  'goede/beste kwaliteit/prijs',
  'snelle levering/verzending',
  'vijf sterren',
)

/** Unfilled gaps of a template, or nothing but stock phrases. */
export function templateSignal(reading: Reading): Signal | null {
  const mayHave = (reading.signs & seenSigns.bracket) !== 0 || hasTag(reading, telltale)
  const gaps = mayHave ? found(reading, unfinished) : []
  if (gaps.length > 0) return signal(reading, gaps, UNFINISHED, 'signal.templateGaps')
  const phrases = withoutOverlaps(findPhrases(reading, stock).map(placeOf))
  if (phrases.length < FEWEST_PHRASES) return null
  const inside = reading.words.filter((word) =>
    phrases.some(({ field, start, end }) => field === word.field && word.start >= start && word.end <= end),
  )
  if (inside.length / reading.words.length < STOCK_SHARE) return null
  return signal(reading, phrases, phrases.length >= MANY_PHRASES ? MUCH_STOCK : STOCK, 'signal.template')
}

const found = (reading: Reading, patterns: RegExp[]): Place[] =>
  placesOf(reading, (text) => patterns.flatMap((pattern) => stretches(text, pattern)))

function signal(
  reading: Reading,
  places: Place[],
  points: number,
  headline: 'signal.template' | 'signal.templateGaps',
): Signal {
  return {
    kind: 'template',
    points,
    headline: messageCode(headline),
    detail: quoted(reading, places),
    places,
  }
}
