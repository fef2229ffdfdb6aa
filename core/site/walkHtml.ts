import { Parser } from 'htmlparser2'

/** Browsers limit the nesting to 512 too. */
const MAX_DEPTH = 512
const MAX_TAGS = 30_000
/** A stray bracket or an entity is a text node of its own. */
const MAX_TEXTS = 200_000

export interface HtmlVisitor {
  open?: (name: string, attributes: Record<string, string>) => void
  /** Also called for elements without a closing tag. */
  close?: (name: string) => void
  text?: (text: string) => void
}

/**
 * Visits elements and texts in document order, in linear time. It stops, with everything closed, at more than
 * 512 levels, 30,000 elements (unless told otherwise) or 200,000 texts.
 * @returns whether it came to the end
 */
export function walkHtml(html: string, visit: HtmlVisitor, maxTags = MAX_TAGS): boolean {
  const open: string[] = []
  let tags = 0
  let texts = 0
  let stopped = false
  const stop = () => {
    stopped = true
    // Pausing keeps the parser's own stack short.
    parser.pause()
  }
  const parser = new Parser({
    onopentag(name, attributes) {
      if (stopped) return
      if (open.length >= MAX_DEPTH || ++tags > maxTags) return stop()
      open.push(name)
      visit.open?.(name, attributes)
    },
    onclosetag(name) {
      if (stopped) return
      open.pop()
      visit.close?.(name)
    },
    ontext(text) {
      if (stopped) return
      if (++texts > MAX_TEXTS) return stop()
      visit.text?.(text)
    },
  })
  parser.end(html)
  if (stopped) for (const name of open.reverse()) visit.close?.(name)
  return !stopped
}
