/** A test of waiting may be tried again: a busy machine holds up one try, a fault holds up all of them. */
export const TRIED_AGAIN = { retry: 2 }

/** The most milliseconds that a visitor waited for an answer while something was done. */
export async function longestWait(visit: () => Promise<unknown>, work: Promise<unknown>): Promise<number> {
  let [longest, over] = [0, false]
  const stop = () => (over = true)
  work.then(stop, stop)
  while (!over) {
    const begun = performance.now()
    await visit()
    longest = Math.max(longest, performance.now() - begun)
  }
  return longest
}
