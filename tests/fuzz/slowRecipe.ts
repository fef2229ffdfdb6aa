import type { Random } from './random'

/** How a long input is made: a part of a seed and some tokens, again and again, and others to close them. */
export interface SlowRecipe {
  seed: number
  /** The repeated part of the seed. */
  from: number
  to: number
  /** Tokens as latin1, so that they can be any bytes. */
  open: string[]
  close: string[]
}

const MOST_TOKENS = 5

export function inputOf({ seed, from, to, open, close }: SlowRecipe, seeds: Buffer[], bytes: number): Buffer {
  const whole = seeds[seed]!
  const opening = Buffer.concat([whole.subarray(from, to), Buffer.from(open.join(''), 'latin1')])
  const closing = Buffer.from(close.join(''), 'latin1')
  const times = Math.max(0, Math.floor((bytes - whole.length) / Math.max(1, opening.length + closing.length)))
  return Buffer.concat([
    whole.subarray(0, from),
    Buffer.alloc(opening.length * times, opening),
    Buffer.alloc(closing.length * times, closing),
    whole.subarray(to),
  ])
}

export function randomRecipe(seeds: Buffer[], tokens: string[], random: Random): SlowRecipe {
  const seed = random.int(seeds.length)
  const from = random.int(seeds[seed]!.length + 1)
  const to = random.oneIn(2) ? from : from + random.int(Math.min(60, seeds[seed]!.length - from + 1))
  const some = (most: number) => Array.from({ length: random.int(most + 1) }, () => random.pick(tokens))
  return { seed, from, to, open: some(MOST_TOKENS), close: random.oneIn(3) ? some(2) : [] }
}

/** Another one that is nearly the same. */
export function nextRecipe(
  recipe: SlowRecipe,
  seeds: Buffer[],
  tokens: string[],
  random: Random,
): SlowRecipe {
  const length = seeds[recipe.seed]!.length
  const withOther = (list: string[]) => {
    const at = random.int(list.length + 1)
    const put = random.oneIn(4) ? [] : [random.pick(tokens)]
    return [...list.slice(0, at), ...put, ...list.slice(at + random.int(2))].slice(0, MOST_TOKENS)
  }
  switch (random.int(4)) {
    case 0: {
      const from = Math.min(length, Math.max(0, recipe.from + random.int(9) - 4))
      return { ...recipe, from, to: Math.max(from, recipe.to) }
    }
    case 1:
      return { ...recipe, to: Math.min(length, Math.max(recipe.from, recipe.to + random.int(9) - 4)) }
    case 2:
      return { ...recipe, close: withOther(recipe.close) }
    default:
      return { ...recipe, open: withOther(recipe.open) }
  }
}
