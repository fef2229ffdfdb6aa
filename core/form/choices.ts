/** The choices and limits of a form's design, without schemas, so that the customer's page loads little. */
export const questionKinds = ['short', 'long', 'one', 'several', 'date', 'scale'] as const
type QuestionKind = (typeof questionKinds)[number]

export const QUESTION_LIMIT = 200
export const OPTION_LIMIT = 120
export const MOST_OPTIONS = 200
export const MOST_QUESTIONS = 30
export const SHORT_ANSWER_LIMIT = 200
export const LONG_ANSWER_LIMIT = 2000
export const WIDEST_SCALE = 10
export const FORM_LABEL_LIMIT = 80
export const FORM_HEADING_LIMIT = 120
export const FORM_TEXT_LIMIT = 1000
export const CONSENT_LIMIT = 300
export const COUPON_LIMIT = 300
/** Of the sheet, in CSS pixels. */
export const MOST_CORNERS = 28
export const USUAL_CORNERS = 18

export const hasOptions = (kind: QuestionKind): boolean => kind === 'one' || kind === 'several'

/** On the page of all ways in. */
export const FORMS_OF_PAGE = 20

/** How long the page after a form may wait before it opens the next one. */
export const MOST_SECONDS_TO_NEXT = 60
