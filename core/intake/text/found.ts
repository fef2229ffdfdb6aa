/** A range of the pasted text in UTF-16 units; `end` is exclusive. */
export interface Found {
  start: number
  end: number
}
