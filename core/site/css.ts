import { generate, parse, walk, type Atrule, type CssNode, type Rule } from 'css-tree'

/** One declaration as it would apply on a light screen, its custom properties put in. */
export interface Declaration {
  selector: string
  property: string
  value: string
}

/** Whether a page has every class that a rule asks for. */
export const isUsed = ({ selector }: Declaration, used: ReadonlySet<string>): boolean =>
  [...selector.matchAll(/\.((?:[\w-]|\\.)+)/g)].every(([, name]) => used.has(name!.replaceAll('\\', '')))

/** What is left out, so that the time grows linearly with a sheet whatever stands in it. */
const MAX_DECLARATIONS = 20_000
const MAX_SELECTORS_OF_RULE = 40
const MAX_SELECTOR_LENGTH = 300
const MAX_VALUE_LENGTH = 500
/** Custom properties may refer to each other; a circle ends here. */
const MAX_REFERENCES = 6

/**
 * The declarations of a style sheet, or of a piece of one, in their order, without those for print and for dark screens,
 * custom properties as they stand. Bad CSS is skipped.
 * @param css as `piecesOf` gives it, which sees to it that it is not nested too deeply
 */
export function declarationsOf(css: string): Declaration[] {
  const found: Declaration[] = []
  const tree = parse(css, { parseValue: false, parseAtrulePrelude: false, parseRulePrelude: false })
  const around: (Atrule | Rule)[] = []
  walk(tree, {
    enter(node: CssNode) {
      if (node.type === 'Atrule' || node.type === 'Rule') around.push(node)
      if (node.type !== 'Declaration' || found.length >= MAX_DECLARATIONS || around.some(isElsewhere)) return
      const value = generate(node.value).trim()
      if (value.length > MAX_VALUE_LENGTH) return
      const property = node.property.startsWith('--') ? node.property : node.property.toLowerCase()
      for (const selector of selectorsOf(around)) found.push({ selector, property, value })
    },
    leave(node: CssNode) {
      if (node.type === 'Atrule' || node.type === 'Rule') around.pop()
    },
  })
  return found
}

/** Declarations with the values of custom properties put in. */
export function withProperties(declarations: Declaration[]): Declaration[] {
  const properties = new Map<string, string>()
  for (const { selector, property, value } of declarations)
    if (property.startsWith('--') && (!properties.has(property) || /:root|html/.test(selector)))
      properties.set(property, value)
  return declarations.map((declaration) => ({
    ...declaration,
    value: resolved(declaration.value, properties),
  }))
}

const selectors = new WeakMap<Rule, string[]>()

function selectorsOf(around: (Atrule | Rule)[]): string[] {
  const rules = around.filter((outer) => outer.type === 'Rule')
  const rule = rules.at(-1)
  if (!rule) return []
  const known = selectors.get(rule)
  if (known) return known
  const text = rules.map(({ prelude }) => generate(prelude)).join(' ')
  const found = text
    .split(',', MAX_SELECTORS_OF_RULE)
    .map((selector) => selector.trim())
    .filter((selector) => selector.length <= MAX_SELECTOR_LENGTH)
  selectors.set(rule, found)
  return found
}

function isElsewhere(node: Atrule | Rule): boolean {
  if (node.type !== 'Atrule') return false
  if (/^(font-face|keyframes|page)$/i.test(node.name)) return true
  const prelude = node.name === 'media' && node.prelude ? generate(node.prelude) : ''
  return /print|prefers-color-scheme:\s*dark/.test(prelude)
}

function resolved(value: string, properties: Map<string, string>, depth = 0): string {
  if (depth > MAX_REFERENCES || !value.includes('var(')) return value
  const next = value.replace(
    /var\(\s*(--[\w-]+)\s*(?:,((?:[^()]|\([^()]*\))*))?\)/g,
    (_, name: string, fallback?: string) => properties.get(name) ?? fallback?.trim() ?? '',
  )
  return next.length > MAX_VALUE_LENGTH ? '' : resolved(next, properties, depth + 1)
}
