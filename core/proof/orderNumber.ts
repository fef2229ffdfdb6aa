import { normalizeText } from '../formats/normalizeText'

const words =
  'order|orders|bestellung|bestellnummer|bestell|auftrag|auftragsnummer|rechnung|commande|pedido|ordine|zamowienie|zamowienia|bestelling|bestelnummer|encomenda|ordernummer|ordernr|reference|referenz|ref|number|numbers|nummer|numero|num|nr|no|id|my|meine|de|di'
/** What people write before the number itself; it goes only where a sign or a figure follows. */
const leading = new RegExp(`^[\\s#:.º°-]*(?:(?:${words})(?![\\p{L}])|n(?=[.°]))[\\s#:.º°-]*`, 'u')

/**
 * The key under which an order number is the same in any spelling: letters and digits only, in upper case, without
 * the words for "order" and "number" before it. Empty when nothing is left.
 */
export function orderNumberKey(typed: string): string {
  let rest = normalizeText(typed).trim()
  for (let before = ''; before !== rest;) {
    before = rest
    const shorter = rest.replace(leading, '')
    // "No" and "ID" can be all that a shop's numbers are made of; what has no figure left is kept whole.
    if (/\p{N}/u.test(shorter)) rest = shorter
  }
  return rest.replace(/[^\p{L}\p{N}]/gu, '').toUpperCase()
}
