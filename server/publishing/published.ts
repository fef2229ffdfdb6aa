/** A published display. */
export interface Published {
  shopId: number
  key: string
  address: string | null
  body: string
}

/** Receives published bytes, for answering visitors. */
export interface Publication {
  put: (display: Published) => void
  remove: (key: string) => void
  /** Drops what was rendered on demand for a shop. */
  forgetVariants: (shopId: number) => void
  /** Keys by last request, the most recent first. */
  latestAsked: () => string[]
}
