import { generate, lexer, parse, tokenize, walk, type CssNode, type Declaration } from 'css-tree'
import { PADDED_LENGTH } from '../site/css'
import { OWN_CSS_LIMIT } from './choices'
import { boundsFault } from './ownCssBounds'
import { coloursIn, hidesText, type Painted, type RulePaint } from './ownCssContrast'
import { allowedProperties } from './ownCssProperties'
import { scopedSelector } from './ownCssSelectors'

/** Why a piece of own CSS has no effect. */
type CssFault =
  | 'syntax'
  | 'deep'
  | 'atRule'
  | 'nested'
  | 'selector'
  | 'property'
  | 'value'
  | 'bounds'
  | 'contrast'
  | 'important'

export interface CssFinding {
  fault: CssFault
  /** The piece, shortened. */
  what: string
  /** Counted from 1. */
  line: number
  /** Position in the text in UTF-16 units. */
  from: number
  to: number
}

/** One rule with an effect, and where the owner wrote it. */
export interface OwnRule {
  /** Scoped to the display, within its condition. */
  css: string
  /** Counted from 1. */
  line: number
}

export interface EffectiveCss {
  /** Scoped to the display; empty for none. */
  css: string
  /** Whether it sets colours or backgrounds. */
  paints: boolean
}

export interface OwnCss extends EffectiveCss {
  /** What `css` consists of, in its order. */
  rules: OwnRule[]
  findings: CssFinding[]
}

const isPaint = /^(color|background(-color|-image)?)$/i
const MAX_DEPTH = 12
const MAX_FINDINGS = 50
const MAX_WHAT = 60
const allowedAtRules = new Set(['media', 'container'])
/** Each of them could load something, or take a text from elsewhere. */
const forbiddenFunctions = /^(url|src|image|image-set|-webkit-image-set|element|attr|env|paint|cross-fade)$/i
/** The custom properties of a display, each with a value of its kind, for checks. */
const ownProperties: Record<string, string> = {
  'var(--eg-accent)': 'red',
  'var(--eg-on-accent)': 'red',
  'var(--eg-round)': '4px',
}
/**
 * Cuts CSS that an owner wrote for a display to what only changes its appearance: no declaration that can hide a text,
 * write one, move it away, or load anything. Each selector is restricted to the display.
 * @param text at most `OWN_CSS_LIMIT` UTF-16 units; what is beyond is left out
 * @param painted the colours of the display without it; null leaves out whether texts can be read
 */
export function readOwnCss(text: string, painted: Painted | null): OwnCss {
  const source = text.slice(0, OWN_CSS_LIMIT)
  const findings: CssFinding[] = []
  const lineAt = (position: number) => source.slice(0, position).split('\n').length
  const add = (fault: CssFault, from: number, to: number) => {
    if (findings.length >= MAX_FINDINGS) return
    const piece = source.slice(from, to).trim()
    if (piece === '') return
    const short = piece.replace(/\s+/g, ' ')
    findings.push({
      fault,
      what: short.length > MAX_WHAT ? `${short.slice(0, MAX_WHAT)}…` : short,
      line: lineAt(from),
      from,
      to: from + piece.length,
    })
  }
  if (source.trim() === '') return { css: '', paints: false, rules: [], findings }
  if (depthOf(source) > MAX_DEPTH) {
    add('deep', 0, source.length)
    return { css: '', paints: false, rules: [], findings }
  }
  const tree = parse(source.padEnd(PADDED_LENGTH), {
    positions: true,
    onParseError: ({ offset }) => add('syntax', Math.min(offset, source.trimEnd().length - 1), source.length),
  })
  let paints = false
  const paintOf = new Map<CssNode, RulePaint>()
  walk(tree, (node) => {
    if (node.type !== 'Rule') return
    const paint: RulePaint = { texts: [], backgrounds: [] }
    for (const one of node.block.children)
      if (one.type === 'Declaration' && !faultOf(one)) {
        const property = one.property.toLowerCase()
        if (property === 'color') paint.texts.push(...coloursIn(one.value))
        else if (/^background(-color|-image)?$/.test(property))
          paint.backgrounds.push(...coloursIn(one.value))
      }
    if (paint.texts.length + paint.backgrounds.length > 0) paintOf.set(node, paint)
  })
  const isHidden = (node: CssNode) => {
    const paint = paintOf.get(node)
    if (!painted || !paint) return false
    const others = [...paintOf].filter(([other]) => other !== node).map(([, one]) => one)
    return hidesText(paint, painted, others)
  }
  const rulesOf = (nodes: Iterable<CssNode>): OwnRule[] => [...nodes].flatMap(rulesIn)
  function rulesIn(node: CssNode): OwnRule[] {
    const [from, to] = spanOf(node)
    if (node.type === 'Comment' || node.type === 'WhiteSpace') return []
    if (node.type === 'Atrule' && node.block && allowedAtRules.has(node.name.toLowerCase())) {
      const inside = rulesOf(node.block.children)
      const prelude = node.prelude && !has(node.prelude, 'Raw') ? generate(node.prelude) : null
      if (prelude === null) {
        add('atRule', from, spanOf(node.block)[0])
        return []
      }
      return inside.map(({ css, line }) => ({ css: `@${node.name.toLowerCase()} ${prelude}{${css}}`, line }))
    }
    if (node.type === 'Rule' && node.prelude.type === 'SelectorList') {
      const hidden = isHidden(node)
      const declarations = [...node.block.children].map((one) => declarationOf(one, hidden)).filter(Boolean)
      const selectors = [...node.prelude.children].map(selectorOf).filter(Boolean).join(',')
      return selectors && declarations.length > 0
        ? [{ css: `${selectors}{${declarations.join(';')}}`, line: lineAt(from) }]
        : []
    }
    if (node.type === 'Rule') add('selector', from, spanOf(node.prelude)[1])
    else if (node.type === 'Atrule') add('atRule', from, Math.min(to, from + node.name.length + 1))
    else if (node.type !== 'Raw') add('syntax', from, to)
    return []
  }
  function selectorOf(node: CssNode): string {
    const selector = has(node, 'Raw') ? null : scopedSelector(node)
    if (selector !== null) return selector
    add('selector', ...spanOf(node))
    return ''
  }
  function declarationOf(node: CssNode, hidden: boolean): string {
    const [from, to] = spanOf(node)
    if (node.type === 'Rule' || node.type === 'Atrule') add('nested', from, to)
    if (node.type !== 'Declaration') return ''
    const fault = faultOf(node) ?? (hidden && isPaint.test(node.property) ? 'contrast' : null)
    if (fault) {
      add(fault, from, to)
      return ''
    }
    if (/colou?r|background/i.test(node.property)) paints = true
    return `${node.property.toLowerCase()}:${generate(node.value)}!important`
  }
  const rules = (tree.type === 'StyleSheet' ? rulesOf(tree.children) : []).map(({ css, line }) => ({
    // A style element would end at its closing tag, wherever that is.
    css: css.replace(/<(?!=)/g, '< '),
    line,
  }))
  return { css: cssOf(rules), paints, rules, findings: findings.toSorted((a, b) => a.from - b.from) }
}

export const cssOf = (rules: OwnRule[]): string => rules.map(({ css }) => css).join('')

/** Only what has an effect; null if nothing has. */
export function effectiveCss(text: string, painted: Painted): EffectiveCss | null {
  const { css, paints } = readOwnCss(text, painted)
  return css ? { css, paints } : null
}

function faultOf({ property: written, value, important }: Declaration): CssFault | null {
  const property = written.toLowerCase()
  if (!allowedProperties.has(property)) return 'property'
  if (important) return 'important'
  if (has(value, 'Raw') || has(value, 'Url') || has(value, 'Function', forbiddenFunctions)) return 'value'
  // The checks know no custom properties.
  const text = generate(value).replace(/var\([^)]*\)/g, (name) => ownProperties[name] ?? name)
  const checked = text.includes('var(') ? null : parse(text, { context: 'value' })
  if (!checked || lexer.matchProperty(property, checked).error) return 'value'
  return boundsFault(property, checked) ? 'bounds' : null
}

function has(tree: CssNode, type: CssNode['type'], name = /(?:)/): boolean {
  let found = false
  walk(tree, (node) => {
    if (node.type === type && (!('name' in node) || (typeof node.name === 'string' && name.test(node.name))))
      found = true
  })
  return found
}

function spanOf(node: CssNode): [from: number, to: number] {
  const { loc } = node
  return loc ? [loc.start.offset, loc.end.offset] : [0, 0]
}

/** The depth of the deepest bracket. */
function depthOf(css: string): number {
  let [depth, deepest] = [0, 0]
  tokenize(css, (_type, start, end) => {
    const last = css[end - 1]!
    if ('{[('.includes(last)) deepest = Math.max(deepest, ++depth)
    else if (end - start === 1 && '}])'.includes(last)) depth = Math.max(0, depth - 1)
  })
  return deepest
}
