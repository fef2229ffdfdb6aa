/** The languages that customers and visitors read. A new one has its name here and its texts in a file beside. */
export const customerLanguages = ['en', 'de', 'fr', 'es', 'it'] as const
export type CustomerLanguage = (typeof customerLanguages)[number]

/** The customer language of a BCP 47 tag (`de-AT`), or null when there is none. */
export function customerLanguage(tag: string): CustomerLanguage | null {
  const language = tag.trim().toLowerCase().split('-')[0]!
  return customerLanguages.find((one) => one === language) ?? null
}
