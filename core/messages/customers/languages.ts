/** The languages for customers and visitors. A new one needs a name here and a file with its texts. */
export const customerLanguages = ['en', 'de', 'fr', 'es', 'it'] as const
export type CustomerLanguage = (typeof customerLanguages)[number]

/** The customer language of a BCP 47 tag (`de-AT`); null if there is none. */
export function customerLanguage(tag: string): CustomerLanguage | null {
  const language = tag.trim().toLowerCase().split('-')[0]!
  return customerLanguages.find((one) => one === language) ?? null
}
