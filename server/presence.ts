/** Who reads which review now. Kept in memory, because it is valid for only a minute. */
export interface Presence {
  /**
   * A member reads a review.
   * @param now in milliseconds
   * @returns the names of other readers, and whether they need to be notified of a change
   */
  see: (
    shopId: number,
    member: { id: number; name: string },
    review: string,
    now: number,
  ) => { others: string[]; moved: boolean }
}

/** An open page reports at least once a minute; one that hasn't is closed, hidden or disconnected. */
const FRESH_MS = 75_000

export function buildPresence(): Presence {
  const seen = new Map<
    string,
    { shopId: number; memberId: number; name: string; review: string; at: number }
  >()
  return {
    see(shopId, member, review, now) {
      const key = `${shopId}.${member.id}`
      const before = seen.get(key)
      seen.set(key, { shopId, memberId: member.id, name: member.name, review, at: now })
      for (const [other, { at }] of seen) if (Math.abs(now - at) > FRESH_MS) seen.delete(other)
      const readers = (of: string | undefined) =>
        [...seen.values()].filter(
          (one) => one.shopId === shopId && one.memberId !== member.id && one.review === of,
        )
      const others = readers(review).map(({ name }) => name)
      const changed = before?.review !== review
      return { others, moved: changed && (others.length > 0 || readers(before?.review).length > 0) }
    },
  }
}
