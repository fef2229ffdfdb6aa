import { generate, parse, walk, type Atrule, type CssNode, type Rule } from 'css-tree'
import { MAX_PIECE_TOKENS } from './cssPieces'

/** A declaration for a light screen, with custom properties replaced. */
export interface Declaration {
  selector: string
  property: string
  value: string
}

/** Whether a page has all classes of a rule. */
export const isUsed = ({ selector }: Declaration, used: ReadonlySet<string>): boolean =>
  [...selector.matchAll(/\.((?:[\w-]|\\.)+)/g)].every(([, name]) => used.has(name!.replaceAll('\\', '')))

/** Limits that keep the time linear. */
const MAX_DECLARATIONS = 20_000
const MAX_SELECTORS_OF_RULE = 40
const MAX_SELECTOR_LENGTH = 300
const MAX_VALUE_LENGTH = 500
/**
 * The parser keeps its list of tokens from text to text, and for an unopened bracket it reads the entry at the length
 * of the text, which can be left from an earlier one: then it may never end. No piece has so many tokens as this.
 */
export const PADDED_LENGTH = MAX_PIECE_TOKENS + 1000
/** The deepest chain of custom properties; circles end here. */
const MAX_REFERENCES = 6

/**
 * The declarations of a style sheet, or a piece of one, in order, without those for print and dark screens.
 * Custom properties are not replaced. Invalid CSS is skipped.
 * @param css from `piecesOf`, which limits the nesting
 */
export function declarationsOf(css: string): Declaration[] {
  const found: Declaration[] = []
  const tree = parse(css.padEnd(PADDED_LENGTH), {
    parseValue: false,
    parseAtrulePrelude: false,
    parseRulePrelude: false,
  })
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

/** Replaces custom properties by their values. */
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
