/** Deeper than any real structured data. */
const MAX_DEPTH = 12
const MAX_LENGTH = 200_000

/** The name and logo of a business in structured data. */
export interface Business {
  name: string
  logo: string | undefined
}

/** The businesses in a block of JSON-LD; none if it can't be parsed. */
export function businessesIn(block: string): Business[] {
  return things(parsed(block), 0)
    .filter((thing) =>
      typesOf(thing).some((type) => /Organization|Business|Store|Brand|WebSite|Shop/.test(type)),
    )
    .map((thing) => ({
      name: typeof thing.name === 'string' ? thing.name : '',
      logo: addressIn(thing.logo, 0) ?? addressIn(thing.image, 0),
    }))
}

function parsed(block: string): unknown {
  if (block.length > MAX_LENGTH) return null
  try {
    return JSON.parse(block)
  } catch {
    return null
  }
}

function things(value: unknown, depth: number): Record<string, unknown>[] {
  if (depth > MAX_DEPTH || !value || typeof value !== 'object') return []
  if (Array.isArray(value)) return value.flatMap((one) => things(one, depth + 1))
  const thing = value as Record<string, unknown>
  return [thing, ...things(thing['@graph'], depth + 1)]
}

const typesOf = (thing: Record<string, unknown>): string[] =>
  [thing['@type']].flat().filter((type) => typeof type === 'string')

function addressIn(value: unknown, depth: number): string | undefined {
  if (typeof value === 'string') return value
  if (depth > MAX_DEPTH || !value || typeof value !== 'object') return undefined
  return addressIn(Array.isArray(value) ? value[0] : (value as { url?: unknown }).url, depth + 1)
}
