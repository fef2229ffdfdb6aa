import { acts } from '../core/moderation/likelyAct'
import type { ReviewStory } from './story'

/**
 * Parses reviews from text. Each begins with a line `@ DAYS-AGO RATING SKU ORDER SECONDS ACT
 * NAME ; role ; company ; portrait`, where `-` means none and `own` as ORDER a verified purchase. Then follow
 * `# headline`, the text, and `> the shop's reply`.
 */
export function readLetters(text: string): ReviewStory[] {
  return text
    .split(/^@ /m)
    .slice(1)
    .map((letter) => {
      const [first, ...rest] = letter.trim().split('\n')
      const [facts, who] = first!.split(' | ')
      const [came, rating, sku, order, took, act] = facts!.split(' ')
      const [name, role, company, portrait] = who!.split(/\s*;\s*/)
      const lines = (mark: string) =>
        rest.filter((line) => line.startsWith(mark)).map((line) => line.slice(2))
      return {
        came: Number(came),
        rating: rating === '-' ? null : (Number(rating) as ReviewStory['rating']),
        name: name!,
        product: sku === '-' ? undefined : sku,
        order: order === '-' || order === 'hand' ? undefined : order,
        byHand:
          order === 'hand'
            ? { role: role ?? '', company: company ?? '', portrait: portrait ?? '' }
            : undefined,
        title: lines('# ')[0],
        body: rest.filter((line) => !/^[#>] /.test(line)).join('\n'),
        took: took === '-' ? 60 : Number(took),
        then: acts.find((one) => one === act),
        reply: lines('> ')[0],
      } satisfies ReviewStory
    })
}
