import type { pagings } from './choices'

/** Further pages cost the server more, so they end after this many reviews; all are on the page of all reviews. */
export const MAX_PAGED = 500

/** The page of a display that is shown by pages. */
export interface Paging {
  kind: Exclude<(typeof pagings)[number], 'none'>
  /** Counted from 1. */
  page: number
  pages: number
  /** The number of reviews on all pages. */
  total: number
  /** The address of a page, without its number. */
  address: string
}

/** The last page that can be asked for. */
export const pageCount = (total: number, size: number): number =>
  Math.max(1, Math.ceil(Math.min(total, MAX_PAGED) / size))

const NEIGHBOURS = 1

/** The page numbers that are shown, with null for those left out: the first, the last, and those around the current one. */
export function pageNumbers(page: number, pages: number): (number | null)[] {
  const shown = Array.from({ length: pages }, (_, i) => i + 1).filter(
    (one) => one === 1 || one === pages || Math.abs(one - page) <= NEIGHBOURS || pages <= 5,
  )
  return shown.flatMap((one, i) => (i > 0 && one - shown[i - 1]! > 1 ? [null, one] : [one]))
}

/** Displays on a page of the owner's list, each with a preview. */
export const CARDS_OF_PAGE = 12
