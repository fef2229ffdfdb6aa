/** How long work in a thread waits for requests, at most, before it takes its turn all the same. */
const MOST_WAIT_MS = 200

/**
 * Lets requests go before long work where both write: whoever waits for the database is counted in memory that all
 * threads share, and long work begins no transaction while somebody does.
 */
export class Turns {
  private readonly waiting: Int32Array

  constructor(readonly shared = new SharedArrayBuffer(Int32Array.BYTES_PER_ELEMENT)) {
    this.waiting = new Int32Array(shared)
  }

  /** To be called when a request begins to wait; answers what to call when it waits no more. */
  begin(): () => void {
    Atomics.add(this.waiting, 0, 1)
    return () => {
      if (Atomics.sub(this.waiting, 0, 1) === 1) Atomics.notify(this.waiting, 0)
    }
  }

  /** Whether a request waits. */
  isWaited(): boolean {
    return Atomics.load(this.waiting, 0) > 0
  }

  /** Stops the thread as long as requests wait. Not for the main thread. */
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
