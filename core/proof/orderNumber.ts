import { fold } from '../formats/fold'

/**
 * The key under which an order number is the same in any spelling: letters and digits only, in upper case, without
 * a leading "order" or "no". Empty when nothing is left.
 */
export function orderNumberKey(typed: string): string {
  return fold(typed)
    .replace(
      /^[\s#]*(order|bestellung|commande|pedido|zamowienie)?[\s:.#]*(number|nummer|numero|nr|no)?[\s:.#]*/u,
      '',
    )
    .replace(/[^\p{L}\p{N}]/gu, '')
    .toUpperCase()
}
