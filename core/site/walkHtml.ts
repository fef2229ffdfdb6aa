import { Parser } from 'htmlparser2'

/** Browsers nest no deeper than 512 either. */
const MAX_DEPTH = 512
const MAX_TAGS = 30_000
/** A stray bracket or an entity is a stretch of text of its own. */
const MAX_TEXTS = 200_000

export interface HtmlVisitor {
  open?: (name: string, attributes: Record<string, string>) => void
  /** Also called for elements that the page leaves to be closed by themselves. */
  close?: (name: string) => void
  text?: (text: string) => void
}

/**
 * Visits the elements and texts of a page in their order. Its time grows linearly with the page: it ends early, with
 * everything closed, where the page nests deeper than 512 elements, or has more than 30,000 of them or 200,000 stretches
 * of text.
 */
export function walkHtml(html: string, visit: HtmlVisitor): void {
  const open: string[] = []
  let tags = 0
  let texts = 0
  let stopped = false
  const stop = () => {
    stopped = true
    // Paused, the parser reads no further, so that its own list of open elements stays short.
    parser.pause()
  }
  const parser = new Parser({
    onopentag(name, attributes) {
      if (stopped) return
      if (open.length >= MAX_DEPTH || ++tags > MAX_TAGS) return stop()
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
}
