/** What a task can say and hear while it runs. */
export interface TaskControl {
  /** Whether it is to end as soon as what it keeps is whole. */
  isStopped: () => boolean
  /** Says how far it has come. @param total null while nobody knows */
  progress: (done: number, total: number | null) => void
  /** Lets requests that wait for the database go first. To be called between two transactions. */
  giveWay: () => void
}

/** Thrown by a task that ended because it was told to. */
export class TaskStopped extends Error {
  constructor() {
    super('the work was stopped')
  }
}
