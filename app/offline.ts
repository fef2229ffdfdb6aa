import { say } from '../core/messages/say/frame'
import { storageWords } from './storageProblem'
import { asActionUnderWay } from './underWay'

/**
 * Runs a server action. If the server can't be reached or can't store anything, the page shows the problem
 * and keeps what was typed. Other answers of the server pass through.
 */
export async function orOffline<T>(serverAction: () => Promise<T>): Promise<T | { problem: string }> {
  try {
    return await asActionUnderWay(serverAction)
  } catch (error) {
    const problem = error instanceof TypeError ? say('error.offline') : storageWords(error)
    if (problem) return { problem }
    throw error
  }
}
