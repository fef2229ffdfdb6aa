import { generate, type CssNode } from 'css-tree'

/** Those that say where the pointer or the focus is, or which of its siblings something is. */
const pseudoClasses = new Set([
  ...['hover', 'active', 'focus', 'focus-visible', 'focus-within', 'link', 'any-link', 'visited'],
  ...['first-child', 'last-child', 'only-child', 'nth-child', 'nth-last-child'],
  ...['first-of-type', 'last-of-type', 'only-of-type', 'nth-of-type'],
])
const pseudoElements = new Set(['first-letter', 'first-line', 'marker', 'before', 'after'])
const outermost = new Set(['html', 'body', 'head'])

/**
 * A selector within the display; null if it could reach something else, or choose reviews by what they say: by the
 * texts of their attributes, or by what is in them.
 */
export function scopedSelector(node: CssNode): string | null {
  if (node.type !== 'Selector') return null
  let isRoot = false
  let isScoped = false
  for (const [at, part] of [...node.children].entries()) {
    if (part.type === 'Combinator') {
      // What stands beside the display.
      if (isRoot && part.name !== ' ' && part.name !== '>') return null
      isRoot = false
    } else if (part.type === 'ClassSelector') {
      if (part.name !== 'eg') continue
      if (at > 0) return null
      isRoot = true
      isScoped = true
    } else if (!isSimple(part)) return null
  }
  const selector = generate(node)
  return isScoped ? selector : `.eg ${selector}`
}

function isSimple(part: CssNode): boolean {
  switch (part.type) {
    case 'TypeSelector':
      return !outermost.has(part.name.toLowerCase())
    case 'PseudoClassSelector':
      return (
        pseudoClasses.has(part.name.toLowerCase()) &&
        [...(part.children ?? [])].every((inside) => inside.type === 'Nth' && !inside.selector)
      )
    case 'PseudoElementSelector':
      return pseudoElements.has(part.name.toLowerCase()) && part.children === null
    default:
      return false
  }
}
