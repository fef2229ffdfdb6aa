import { acts } from '../core/moderation/likelyAct'
import type { ReviewStory } from './story'

/**
 * Reviews from a text that is pleasant to write and to read. Each begins with a line
 * `@ DAYS-AGO RATING SKU ORDER SECONDS ACT | NAME ; role ; company ; portrait`, where `-` is none and `own` as an order
 * means that the writer bought it; then `# headline`, the words, and `> the shop's answer`.
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
