import { fork, type ChildProcess } from 'node:child_process'
import type { Random } from './random'
import type { SlowTask } from './slowChild'
import { slowKinds, type SlowKind } from './slowKinds'
import { inputOf, nextRecipe, randomRecipe, type SlowRecipe } from './slowRecipe'

/** Long enough to tell what grows with its square. */
const TRIED_BYTES = 200_000
const SIZES = [500_000, 1_000_000, 2_000_000, 4_000_000]
const FIRST = 30
const KEPT = 6
const DEADLINE_MS = 20_000
/** What an input may take outside of a job. */
const MOST_MS = 2000

export interface Slowest {
  kind: string
  /** How it is made. */
  words: string
  /** Milliseconds of the processor at 200 kB, and at the slowest of all sizes; null past the deadline. */
  tried: number
  whole: number | null
  bytes: number
  failures: string[]
  isTooSlow: boolean
}

/**
 * Looks for the slowest input of a kind: what took long is changed a little and tried again.
 * @param seconds for each kind
 */
export async function searchSlow(
  random: Random,
  seconds: number,
  only: string | undefined,
  report: (slowest: Slowest) => void,
): Promise<void> {
  for (const [name, kind] of Object.entries(slowKinds))
    if (only === undefined || name === only) report(await slowestOf(name, kind, random, seconds))
}

async function slowestOf(name: string, kind: SlowKind, random: Random, seconds: number): Promise<Slowest> {
  const { tokens, mostBytes } = kind
  const seeds = await kind.seeds()
  const reader = new Reader()
  const failures: string[] = []
  const measured = async (recipe: SlowRecipe, bytes: number): Promise<number | null> => {
    const answer = await reader.read({ kind: name, recipe, bytes })
    if (answer?.failure) failures.push(`${answer.failure} for ${shown(recipe, seeds)}`)
    return answer?.ms ?? null
  }
  let best: { recipe: SlowRecipe; ms: number }[] = []
  const until = performance.now() + seconds * 1000
  for (let i = 0; i < FIRST || performance.now() < until; i++) {
    const recipe =
      i < FIRST || random.oneIn(8)
        ? randomRecipe(seeds, tokens, random)
        : nextRecipe(random.pick(best).recipe, seeds, tokens, random)
    const tried = async () => (await measured(recipe, Math.min(TRIED_BYTES, mostBytes))) ?? DEADLINE_MS
    const first = await tried()
    if (best.length === KEPT && first <= best.at(-1)!.ms) continue
    // Twice, because the machine does other things, too.
    const ms = Math.min(first, await tried())
    best = [...best, { recipe, ms }].toSorted((a, b) => b.ms - a.ms).slice(0, KEPT)
  }
  const { recipe, ms } = best[0]!
  // A limit can cut longer ones off.
  const whole = { ms: 0 as number | null, bytes: 0 }
  for (const bytes of SIZES.filter((size) => size < mostBytes).concat(mostBytes)) {
    const took = await measured(recipe, bytes)
    if (whole.ms === null || (took !== null && took <= whole.ms)) continue
    whole.ms = took
    whole.bytes = bytes
  }
  await reader.end()
  return {
    kind: name,
    words: shown(recipe, seeds),
    tried: ms,
    whole: whole.ms,
    bytes: whole.bytes,
    failures,
    isTooSlow: whole.ms === null || (!kind.inJob && whole.ms > MOST_MS),
  }
}

/** The beginning of an input of a recipe. */
const shown = (recipe: SlowRecipe, seeds: Buffer[]): string => {
  const short = inputOf(recipe, seeds, seeds[recipe.seed]!.length + 40).toString('latin1')
  return `${JSON.stringify({ open: recipe.open, close: recipe.close })} at ${recipe.from}–${recipe.to}: ${JSON.stringify(short.slice(Math.max(0, recipe.from - 20), recipe.from + 60))}`
}

/** A process that reads, and is replaced when it takes too long. */
class Reader {
  private child: ChildProcess | null = null

  async read(task: SlowTask): Promise<{ ms: number; failure: string | null } | null> {
    const child = this.child ?? (await this.start())
    return new Promise((resolve) => {
      const timer = setTimeout(() => {
        child.off('message', done)
        void this.end().then(() => resolve(null))
      }, DEADLINE_MS)
      const done = (answer: unknown) => {
        clearTimeout(timer)
        child.off('exit', ended)
        resolve(answer as { ms: number; failure: string | null })
      }
      const ended = () => {
        clearTimeout(timer)
        this.child = null
        resolve({ ms: 0, failure: 'the process ended' })
      }
      child.once('message', done)
      child.once('exit', ended)
      child.send(task)
    })
  }

  async end(): Promise<void> {
    const { child } = this
    this.child = null
    if (!child) return
    child.removeAllListeners()
    await new Promise((resolve) => {
      child.once('exit', resolve)
      child.kill('SIGKILL')
    })
  }

  private async start(): Promise<ChildProcess> {
    const child = fork('tests/fuzz/slowChild.ts', { execArgv: ['--import', 'tsx'] })
    this.child = child
    await new Promise((resolve) => {
      child.once('message', resolve)
    })
    return child
  }
}
