/** A review on its way in, the same for every way in. Words and names are exactly as they came. */
export interface Candidate {
  source: 'form'
  formId: number
  /** Kept once by this; null where the way in gives none. */
  token: string | null
  tokenGood: boolean
  trapSprung: boolean
  /** Seconds between the form being handed out and its arrival; null when nobody knows. */
  fillSeconds: number | null
  rating: { value: number; scale: number } | null
  title: string
  body: string
  authorName: string
  authorEmail: string
  orderNumber: string
  productSku: string
  consent: { answer: 'given' | 'refused'; text: string }
}
