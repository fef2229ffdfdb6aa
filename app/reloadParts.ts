import { useEffect } from 'react'

/** The data of a page, with a mark for each of its parts. */
interface Marked {
  marks: Record<string, string>
}

let latest: { address: string; data: Marked } | null = null

/** Remembers what a page shows, so that loading it again asks for what has changed only. */
export function useRemembered(address: string, data: Marked): void {
  useEffect(() => {
    latest = { address, data }
  }, [address, data])
}

/**
 * Loads a page again. The server sends the parts that differ from what the page has; without such data, or where it
 * answers otherwise, the whole.
 */
export async function reloadParts<T extends Marked>(
  request: Request,
  whole: () => Promise<T>,
  /** What the page shows, if it is that of this address. */
  known = latest,
): Promise<T> {
  const { pathname, search } = new URL(request.url)
  if (known?.address !== pathname + search) return whole()
  const answer = await fetch(`${pathname}/changed${search}`, {
    headers: { 'X-Marks': JSON.stringify(known.data.marks) },
    signal: request.signal,
  })
  if (!answer.ok || !answer.headers.get('Content-Type')?.startsWith('application/json')) return whole()
  const { changed, marks } = (await answer.json()) as { changed: Partial<T> } & Marked
  return { ...(known.data as T), ...changed, marks }
}
