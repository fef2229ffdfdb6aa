import { say } from '../core/messages/say/frame'
import { storageWords } from './storageProblem'

/**
 * Runs a route's server action; when the server cannot be reached or cannot store anything, that is said in place and the
 * page stays as it is, with everything typed. Answers of the server, also refusals, pass through.
 */
export async function orOffline<T>(serverAction: () => Promise<T>): Promise<T | { problem: string }> {
  try {
    return await serverAction()
  } catch (error) {
    const problem = error instanceof TypeError ? say('error.offline') : storageWords(error)
    if (problem) return { problem }
    throw error
  }
}
