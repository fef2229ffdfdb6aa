import { say } from '../core/words/say'

/**
 * Runs a route's server action; when the server cannot be reached, that is said in place and the page stays as it is,
 * with everything typed. Answers of the server, also refusals, pass through.
 */
export async function orOffline<T>(serverAction: () => Promise<T>): Promise<T | { problem: string }> {
  try {
    return await serverAction()
  } catch (error) {
    if (error instanceof TypeError) return { problem: say('error.offline') }
    throw error
  }
}
