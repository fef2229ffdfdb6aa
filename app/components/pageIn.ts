import { z } from 'zod'

const asked = z.object({
  q: z.string().trim().max(200).catch(''),
  page: z.coerce.number().int().min(1).max(10_000).catch(1),
})

/** The words and the page of a list, from its address. */
export function pageIn(searchParams: URLSearchParams): { words: string; page: number } {
  const { q, page } = asked.parse(Object.fromEntries(searchParams))
  return { words: q, page }
}
