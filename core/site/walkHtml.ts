import { Parser } from 'htmlparser2'

/** Browsers nest no deeper than 512 either. */
const MAX_DEPTH = 512
const MAX_TAGS = 60_000

export interface HtmlVisitor {
  open?: (name: string, attributes: Record<string, string>) => void
  /** Also called for elements that the page leaves to be closed by themselves. */
  close?: (name: string) => void
  text?: (text: string) => void
}

/**
 * Visits the elements and texts of a page in their order. Its time grows linearly with the page: it ends early, with
 * everything closed, where the page nests deeper than 512 elements or has more than 60,000.
 */
export function walkHtml(html: string, visit: HtmlVisitor): void {
  let depth = 0
  let tags = 0
  let stopped = false
  const parser = new Parser({
    onopentag(name, attributes) {
      if (stopped) return
      // Paused, the parser reads no further, so that its own list of open elements stays short.
      if (++depth > MAX_DEPTH || ++tags > MAX_TAGS) {
        stopped = true
        depth--
        parser.pause()
        return
      }
      open.push(name)
      visit.open?.(name, attributes)
    },
    onclosetag(name) {
      if (stopped) return
      depth--
      open.pop()
      visit.close?.(name)
    },
    ontext(text) {
      if (!stopped) visit.text?.(text)
    },
  })
  const open: string[] = []
  parser.end(html)
  if (stopped) for (const name of open.reverse()) visit.close?.(name)
}
