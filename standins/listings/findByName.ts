import type { Business } from './site'

const MOST = 8

/** The businesses whose names are most like what was typed; misspelt names are found. */
export function findByName(businesses: Business[], typed: string): Business[] {
  const asked = pairsOf(typed.slice(0, 200))
  if (asked.size === 0) return []
  return businesses
    .map((business) => ({ business, likeness: likeness(asked, pairsOf(business.name.slice(0, 200))) }))
    .filter((one) => one.likeness >= 0.45)
    .toSorted((a, b) => b.likeness - a.likeness)
    .slice(0, MOST)
    .map(({ business }) => business)
}

function pairsOf(words: string): Set<string> {
  const plain = words
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^\p{L}\p{N}]+/gu, '')
  return new Set([...plain].slice(1).map((sign, i) => plain[i]! + sign))
}

/** The share of the typed pairs of letters that the name has, so that a beginning is enough. */
function likeness(asked: Set<string>, name: Set<string>): number {
  return [...asked].filter((pair) => name.has(pair)).length / asked.size
}
