export interface TaskControl {
  /** Whether it should end after its current transaction. */
  isStopped: () => boolean
  /** @param total null if unknown */
  progress: (done: number, total: number | null) => void
  /** Lets waiting requests use the database. Call it between transactions. */
  giveWay: () => void
}

export class TaskStopped extends Error {
  constructor() {
    super('the work was stopped')
  }
}
