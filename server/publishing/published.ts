/** A published display. */
export interface Published {
  key: string
  address: string | null
  body: string
}

/** Receives published bytes, for answering visitors. */
export interface Publication {
  put: (display: Published) => void
  remove: (key: string) => void
  /** Keys by last request, the most recent first. */
  latestAsked: () => string[]
}
