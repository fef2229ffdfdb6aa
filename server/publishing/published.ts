/** A display as visitors get it. */
export interface Published {
  key: string
  address: string | null
  body: string
}

/** Where published bytes go: whoever answers visitors. */
export interface Publication {
  put: (display: Published) => void
  remove: (key: string) => void
  /** Keys in the order in which visitors asked for them, the latest first. */
  latestAsked: () => string[]
}
