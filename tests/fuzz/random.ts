/** Chance that can be repeated: the same seed gives the same inputs. */
export interface Random {
  /** A whole number from 0 to just below `below`. */
  int: (below: number) => number
  pick: <T>(list: readonly T[]) => T
  /** True once in so many times. */
  oneIn: (times: number) => boolean
}

/** @param seed any whole number (the generator is Mulberry32) */
export function seededRandom(seed: number): Random {
  let state = seed >>> 0
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0
    let mixed = state
    mixed = Math.imul(mixed ^ (mixed >>> 15), mixed | 1)
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61)
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296
  }
  const int = (below: number) => Math.floor(next() * below)
  return { int, pick: (list) => list[int(list.length)]!, oneIn: (times) => int(times) === 0 }
}
