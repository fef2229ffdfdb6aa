import { monitorEventLoopDelay } from 'node:perf_hooks'

const RESOLUTION_MS = 10
const SPAN_MS = 10_000
const SPANS = 6

interface LoopDelay {
  /** The longest delay of the main thread in the last minute, in milliseconds. */
  heldMs: () => number
  stop: () => void
}

/** Measures how long the main thread is blocked. */
export function watchLoopDelay(): LoopDelay {
  const histogram = monitorEventLoopDelay({ resolution: RESOLUTION_MS })
  histogram.enable()
  const spans: number[] = []
  // The histogram contains the interval itself, so the resolution is subtracted.
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
