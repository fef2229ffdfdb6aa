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

/** Custom properties may refer to each other; a circle ends here. */
const DEEPEST = 6

/** The declarations of style sheets in their order, without those for print and for dark screens. Bad CSS is skipped. */
export function declarationsIn(sheets: string[]): Declaration[] {
  const found = sheets.flatMap(rawDeclarations)
  const properties = new Map<string, string>()
  for (const { selector, property, value } of found)
    if (property.startsWith('--') && (!properties.has(property) || /:root|html/.test(selector)))
      properties.set(property, value)
  return found.map((declaration) => ({ ...declaration, value: resolved(declaration.value, properties) }))
}

function rawDeclarations(css: string): Declaration[] {
  const found: Declaration[] = []
  const tree = parse(css, { parseValue: false, parseAtrulePrelude: false, parseRulePrelude: false })
  const around: (Atrule | Rule)[] = []
  walk(tree, {
    enter(node: CssNode) {
      if (node.type === 'Atrule' || node.type === 'Rule') around.push(node)
      if (node.type !== 'Declaration' || around.some(isElsewhere)) return
      const rules = around.filter((outer) => outer.type === 'Rule')
      const value = generate(node.value).trim()
      const property = node.property.startsWith('--') ? node.property : node.property.toLowerCase()
      for (const selector of rules
        .map((rule) => generate(rule.prelude))
        .join(' ')
        .split(','))
        found.push({ selector: selector.trim(), property, value })
    },
    leave(node: CssNode) {
      if (node.type === 'Atrule' || node.type === 'Rule') around.pop()
    },
  })
  return found
}

function isElsewhere(node: Atrule | Rule): boolean {
  if (node.type !== 'Atrule') return false
  if (/^(font-face|keyframes|page)$/i.test(node.name)) return true
  const prelude = node.prelude ? generate(node.prelude) : ''
  return node.name === 'media' && /print|prefers-color-scheme:\s*dark/.test(prelude)
}

function resolved(value: string, properties: Map<string, string>, depth = 0): string {
  if (depth > DEEPEST || !value.includes('var(')) return value
  const next = value.replace(
    /var\(\s*(--[\w-]+)\s*(?:,((?:[^()]|\([^()]*\))*))?\)/g,
    (_, name: string, fallback?: string) => properties.get(name) ?? fallback?.trim() ?? '',
  )
  return resolved(next, properties, depth + 1)
}
