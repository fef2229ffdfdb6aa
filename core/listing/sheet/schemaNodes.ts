import { MAX_BODY } from '../limits'
import { walkWhole } from './walkWhole'

/** An object of schema.org. */
export type Node = Record<string, unknown>

/** Objects of a page; further ones are ignored. */
const MAX_NODES = 100_000

export const isNode = (value: unknown): value is Node =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

export const isOfType = (node: Node, type: string): boolean =>
  [node['@type']].flat().some((one) => typeof one === 'string' && one.split(/[/#:]/).at(-1) === type)

/**
 * All objects in blocks of JSON-LD, from outside in. Those that only name another by its `@id` are replaced by it
 * where they are read (`resolved`); of those with the same `@id` the fullest is returned.
 */
export function nodesIn(data: unknown[]): { nodes: Node[]; resolved: (value: unknown) => unknown } {
  const found: Node[] = []
  const seen = [...data]
  for (let i = 0; i < seen.length && seen.length < MAX_NODES; i++) {
    const one = seen[i]
    if (typeof one !== 'object' || one === null) continue
    if (!Array.isArray(one)) found.push(one as Node)
    for (const inner of Object.values(one)) if (typeof inner === 'object') seen.push(inner)
  }
  const byId = new Map<string, Node>()
  for (const node of found) {
    const id = node['@id']
    if (typeof id !== 'string') continue
    const known = byId.get(id)
    if (!known || Object.keys(node).length > Object.keys(known).length) byId.set(id, node)
  }
  const fullest = (node: Node) => byId.get(node['@id'] as string) ?? node
  return {
    nodes: found.filter((node) => fullest(node) === node),
    resolved: (value) => (isNode(value) ? fullest(value) : value),
  }
}

const valueAttributes = ['content', 'datetime', 'href', 'src'] as const

/** Items of microdata, each with the properties that it has itself. */
export function microdata(html: string): Node[] {
  const items: Node[] = []
  /** For each open element: its item, and the property whose text it collects. */
  const open: { item: Node | null; property: { node: Node; name: string; text: string } | null }[] = []
  const enclosing = () => open.findLast(({ item }) => item !== null)?.item ?? null
  const add = (node: Node, name: string, value: unknown) => {
    if (!(name in node)) node[name] = value
  }
  walkWhole(html, {
    open: (_, attributes) => {
      const outer = enclosing()
      const name = attributes.itemprop?.trim().split(/\s+/)[0]
      if ('itemscope' in attributes) {
        const item: Node = Object.assign(Object.create(null) as Node, { '@type': attributes.itemtype ?? '' })
        items.push(item)
        if (outer && name) add(outer, name, item)
        open.push({ item, property: null })
        return
      }
      const given = valueAttributes.map((one) => attributes[one]).find((value) => value !== undefined)
      const property = outer && name ? { node: outer, name, text: '' } : null
      if (property && given !== undefined) add(property.node, property.name, given)
      open.push({ item: null, property: given === undefined ? property : null })
    },
    text: (text) => {
      for (const { property } of open) if (property && property.text.length < MAX_BODY) property.text += text
    },
    close: () => {
      const property = open.pop()?.property
      if (property) add(property.node, property.name, property.text.trim())
    },
  })
  return items
}
