import { useState } from 'react'

export interface Tickable {
  publicId: string
  revision: number
}

/** The selected reviews of the list. Another filter clears the selection. */
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
    /** Without reviews that someone else has decided on. */
    ticked: lines.filter(({ publicId }) => all || ticked.has(publicId)),
    all,
    isTicked: (publicId: string) => all || ticked.has(publicId),
    /** With `range`, everything from the last selected one. */
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
