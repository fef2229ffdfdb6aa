export interface SubmissionChecks {
  /** Whether the form's token was valid; true for sources without tokens. */
  tokenGood: boolean
  /** Whether the form's computation is missing; false for sources without one. */
  workMissing: boolean
  /** Whether the hidden field was filled in. */
  trapSprung: boolean
}

export const trustedSubmission: SubmissionChecks = { tokenGood: true, workMissing: false, trapSprung: false }
