import { tokenize } from 'css-tree'

const MAX_SHEET_LENGTH = 400_000
/** Large enough to be efficient; errors cost the parser a time that grows with the square of a piece. */
const PIECE_LENGTH = 8000
const MAX_PIECE_LENGTH = 24_000
export const MAX_PIECE_TOKENS = 9000
/** Deeper than any real style sheet; the parser is recursive. */
const MAX_DEPTH = 30

/**
 * Splits a style sheet between rules into pieces that can be parsed one by one, in linear time. A long block,
 * such as a layer, is split too, and each piece repeats the block's beginning. Rules that are too deep or too
 * long are left out.
 */
export function piecesOf(sheet: string): string[] {
  const css = sheet.slice(0, MAX_SHEET_LENGTH)
  const pieces: string[] = []
  const add = (piece: string, deepest: number) => {
    if (piece.trim() === '' || piece.length > MAX_PIECE_LENGTH || deepest > MAX_DEPTH) return
    let tokens = 0
    tokenize(piece, () => tokens++)
    if (tokens <= MAX_PIECE_TOKENS) pieces.push(piece)
  }
  /** The start of the current piece, and the beginning of the block around it. */
  let [from, around] = [0, '']
  let [blockFrom, depth, deepest] = [0, 0, 0]
  tokenize(css, (_type: number, start: number, end: number) => {
    const last = css[end - 1]!
    if (opens(last, end - start)) {
      if (depth === 0 && last === '{') around = css.slice(blockFrom, end)
      deepest = Math.max(deepest, ++depth)
    } else if (end - start === 1 && '}])'.includes(last) && depth > 0) {
      depth--
      if (last !== '}' || depth > 1) return
      if (depth === 0) {
        const isInside = from > blockFrom
        if (isInside || end - from >= PIECE_LENGTH || deepest > MAX_DEPTH) {
          add((isInside ? around : '') + css.slice(from, end), deepest)
          ;[from, deepest] = [end, 0]
        }
        blockFrom = end
      } else if (end - from >= PIECE_LENGTH && around.startsWith('@')) {
        add(from > blockFrom ? `${around}${css.slice(from, end)}}` : `${css.slice(from, end)}}`, deepest)
        ;[from, deepest] = [end, depth]
      }
    }
  })
  if (deepest <= MAX_DEPTH) add(from > blockFrom ? around + css.slice(from) : css.slice(from), deepest)
  return pieces
}

/** An opening token: a bracket, or the name of a function. */
function opens(last: string, length: number): boolean {
  return length === 1 ? '{[('.includes(last) : last === '('
}
