import { say } from '../core/messages/say/frame'
import { storageWords } from './storageProblem'

/**
 * Runs a server action. If the server can't be reached or can't store anything, the page shows the problem
 * and keeps what was typed. Other answers of the server pass through.
 */
export async function orOffline<T>(serverAction: () => Promise<T>): Promise<T | { problem: string }> {
  underWay++
  try {
    return await serverAction()
  } catch (error) {
    const problem = error instanceof TypeError ? say('error.offline') : storageWords(error)
    if (problem) return { problem }
    throw error
  } finally {
    underWay--
  }
}

let underWay = 0

/** Whether an action waits for the server, known at once, while the router's own state follows with a render. */
export const isActionUnderWay = (): boolean => underWay > 0
