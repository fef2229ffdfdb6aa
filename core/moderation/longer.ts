/** A copy with twice the room. */
export function longer(array: Int32Array<ArrayBuffer>): Int32Array<ArrayBuffer> {
  const grown = new Int32Array(array.length * 2)
  grown.set(array)
  return grown
}
