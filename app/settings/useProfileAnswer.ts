import { useLastAnswer } from '../components/useLastAnswer'
import type { ProfileAnswer } from './profile'

/** The answer to the last save: errors by field, or what went wrong. */
export function useProfileAnswer(actionData: unknown) {
  const last = useLastAnswer(actionData as ProfileAnswer | { problem: string } | undefined)
  return {
    errors: last && 'errors' in last ? last.errors : {},
    saved: last !== undefined && last !== null && 'done' in last && last.done === 'shop',
    problem: last && 'problem' in last ? last.problem : null,
  }
}
