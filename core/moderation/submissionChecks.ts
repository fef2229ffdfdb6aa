/** How a review was sent. */
export interface SubmissionChecks {
  /** Whether the form's signed token came along; true for sources that have none. */
  tokenGood: boolean
  /** Whether nobody computed what the form's page asks for; false for sources that ask nothing. */
  workMissing: boolean
  /** Whether the field that people never see was filled in. */
  trapSprung: boolean
}

/** As people send one. */
export const trustedSubmission: SubmissionChecks = { tokenGood: true, workMissing: false, trapSprung: false }
