import { slowKinds } from './slowKinds'
import { inputOf, type SlowRecipe } from './slowRecipe'

/** Reads one input after the other, so that whoever sends them can end one that takes for ever. */
export interface SlowTask {
  kind: string
  recipe: SlowRecipe
  bytes: number
}

/** Read once for each kind. */
const seedsOf = new Map<string, Buffer[]>()
process.on('message', (task: SlowTask) => void answer(task))
process.send!('ready')

async function answer({ kind, recipe, bytes }: SlowTask): Promise<void> {
  const { read, seeds: readSeeds } = slowKinds[kind]!
  const seeds = seedsOf.get(kind) ?? (await readSeeds())
  seedsOf.set(kind, seeds)
  const input = inputOf(recipe, seeds, bytes)
  const before = process.cpuUsage()
  let failure: string | null = null
  try {
    await read(input)
  } catch (error) {
    failure = error instanceof Error ? (error.stack ?? '') : String(error)
  }
  const { user, system } = process.cpuUsage(before)
  process.send!({ ms: (user + system) / 1000, failure })
}
