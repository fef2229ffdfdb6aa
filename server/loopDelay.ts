import { monitorEventLoopDelay } from 'node:perf_hooks'

const RESOLUTION_MS = 10
const SPAN_MS = 10_000
const SPANS = 6

export interface LoopDelay {
  /** The longest that the main thread was held in the last minute, in milliseconds. */
  heldMs: () => number
  stop: () => void
}

/** Watches for how long the main thread answers nobody. */
export function watchLoopDelay(): LoopDelay {
  const histogram = monitorEventLoopDelay({ resolution: RESOLUTION_MS })
  histogram.enable()
  const spans: number[] = []
  // What is measured is the time between two looks, so that the resolution is taken off.
  const longest = () => Math.max(0, histogram.max / 1e6 - RESOLUTION_MS)
  const timer = setInterval(() => {
    spans.push(longest())
    if (spans.length > SPANS) spans.shift()
    histogram.reset()
  }, SPAN_MS)
  timer.unref()
  return {
    heldMs: () => Math.round(Math.max(longest(), ...spans)),
    stop: () => {
      clearInterval(timer)
      histogram.disable()
    },
  }
}
