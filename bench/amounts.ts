/** What a shop has beside its reviews. */
export interface Amounts {
  products: number
  tags: number
  displays: number
  forms: number
  listings: number
  orders: number
  customers: number
}

export const fewThings: Amounts = {
  products: 18,
  tags: 0,
  displays: 0,
  forms: 0,
  listings: 0,
  orders: 0,
  customers: 0,
}

/** As many as a large shop has. */
export const manyThings: Amounts = {
  products: 40_000,
  tags: 5_000,
  displays: 300,
  forms: 300,
  listings: 50,
  orders: 100_000,
  customers: 100_000,
}

/** A part of each amount, at least as many as have pages of their own in `pagesOfShop`. */
export const shareOf = (amounts: Amounts, share: number): Amounts =>
  Object.fromEntries(
    Object.entries(amounts).map(([name, count]) => [name, Math.max(16, Math.round(count * share))]),
  ) as unknown as Amounts
