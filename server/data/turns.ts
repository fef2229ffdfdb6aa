/** The longest time that work in a thread gives way to requests. */
const MOST_WAIT_MS = 200

/**
 * Requests have priority over long work where both write. A counter in memory that all threads share holds
 * the number of waiting requests; long work begins no transaction while it is above 0.
 */
export class Turns {
  private readonly waiting: Int32Array

  constructor(readonly shared = new SharedArrayBuffer(Int32Array.BYTES_PER_ELEMENT)) {
    this.waiting = new Int32Array(shared)
  }

  /** Called when a request begins to wait; returns the function to call when it has the lock. */
  begin(): () => void {
    Atomics.add(this.waiting, 0, 1)
    return () => {
      if (Atomics.sub(this.waiting, 0, 1) === 1) Atomics.notify(this.waiting, 0)
    }
  }

  isWaited(): boolean {
    return Atomics.load(this.waiting, 0) > 0
  }

  /** Blocks the thread while requests wait. Not for the main thread. */
  giveWay(): void {
    const until = performance.now() + MOST_WAIT_MS
    for (;;) {
      const count = Atomics.load(this.waiting, 0)
      const left = until - performance.now()
      if (count <= 0 || left <= 0) return
      Atomics.wait(this.waiting, 0, count, left)
    }
  }
}
