import { normalizeText } from '../formats/normalizeText'

const words =
  'order|orders|bestellung|bestellnummer|bestell|auftrag|auftragsnummer|rechnung|commande|pedido|ordine|zamowienie|zamowienia|bestelling|bestelnummer|encomenda|ordernummer|ordernr|reference|referenz|ref|number|numbers|nummer|numero|num|nr|no|id|my|meine|de|di'
/** Words before an order number; removed only before a symbol or digit. */
const leading = new RegExp(`^[\\s#:.º°-]*(?:(?:${words})(?![\\p{L}])|n(?=[.°]))[\\s#:.º°-]*`, 'u')

/**
 * The key under which two spellings of an order number are equal: upper-case letters and digits, without
 * leading words for "order" and "number". May be empty.
 */
export function orderNumberKey(typed: string): string {
  let rest = normalizeText(typed).trim()
  for (let before = ''; before !== rest;) {
    before = rest
    const shorter = rest.replace(leading, '')
    // A number can consist of "No" or "ID" only, so a result without digits is not shortened.
    if (/\p{N}/u.test(shorter)) rest = shorter
  }
  return rest.replace(/[^\p{L}\p{N}]/gu, '').toUpperCase()
}

/** Letters that `digitsAlone` leaves out. */
export const LETTERS_AROUND = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ'

/** A key without the letters before and after its digits: 20448 for GT20448. Customers often leave them out. */
export const digitsAlone = (key: string): string => key.replace(/^[A-Z]+|[A-Z]+$/g, '')
