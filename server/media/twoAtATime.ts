const AT_A_TIME = 2
let running = 0
const waiting: (() => void)[] = []

/** Runs heavy work on pictures no more than two at a time, so that many at once take no more memory than two. */
export async function twoAtATime<T>(work: () => Promise<T>): Promise<T> {
  if (running >= AT_A_TIME) await new Promise<void>((go) => waiting.push(go))
  else running++
  try {
    return await work()
  } finally {
    const next = waiting.shift()
    if (next) next()
    else running--
  }
}
