import { useState } from 'react'

/** A review that can be selected, with its revision as it was seen. */
export interface Tickable {
  publicId: string
  revision: number
}

/** Which reviews of the list are selected; kept while one goes through it, gone with another filter. */
export function useSelection(lines: Tickable[], filterKey: string) {
  const [ticked, setTicked] = useState<Map<string, number>>(new Map())
  const [all, setAll] = useState(false)
  const [last, setLast] = useState<string | null>(null)
  const [of, setOf] = useState(filterKey)
  if (of !== filterKey) {
    setOf(filterKey)
    setTicked(new Map())
    setAll(false)
    setLast(null)
  }
  const clear = () => {
    setTicked(new Map())
    setAll(false)
    setLast(null)
  }
  return {
    /** Those that are still in the list: one that somebody else has decided meanwhile is not selected any more. */
    ticked: lines.filter(({ publicId }) => all || ticked.has(publicId)),
    all,
    isTicked: (publicId: string) => all || ticked.has(publicId),
    /** Selects or deselects one; with `range`, everything from the one selected before up to it. */
    toggle: (publicId: string, range = false) => {
      const ids = lines.map((line) => line.publicId)
      const [from, to] = [last === null ? -1 : ids.indexOf(last), ids.indexOf(publicId)]
      const span =
        range && from >= 0 && to >= 0 ? ids.slice(Math.min(from, to), Math.max(from, to) + 1) : [publicId]
      const next = new Map(all ? lines.map((line) => [line.publicId, line.revision]) : ticked)
      const on = range || !next.has(publicId)
      for (const id of span) {
        const line = lines.find((one) => one.publicId === id)
        if (on && line) next.set(id, line.revision)
        else next.delete(id)
      }
      setTicked(next)
      setAll(false)
      setLast(publicId)
    },
    /** Selects one, and leaves it selected when it is. */
    tick: (publicId: string) => {
      const line = lines.find((one) => one.publicId === publicId)
      if (line && !all) setTicked((before) => new Map(before).set(publicId, line.revision))
      setLast(publicId)
    },
    tickAll: () => setAll(!all),
    clear,
  }
}
export type Ticks = ReturnType<typeof useSelection>
