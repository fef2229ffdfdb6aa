import { useState } from 'react'

interface Selectable {
  publicId: string
  revision: number
}

/** The selected reviews of the list. Another filter clears the selection. */
export function useSelection(lines: Selectable[], filterKey: string) {
  const [selected, setSelected] = useState<Map<string, number>>(new Map())
  const [all, setAll] = useState(false)
  const [last, setLast] = useState<string | null>(null)
  const [of, setOf] = useState(filterKey)
  if (of !== filterKey) {
    setOf(filterKey)
    setSelected(new Map())
    setAll(false)
    setLast(null)
  }
  const clear = () => {
    setSelected(new Map())
    setAll(false)
    setLast(null)
  }
  return {
    /** Without reviews that someone else has decided on. */
    selected: lines.filter(({ publicId }) => all || selected.has(publicId)),
    all,
    isSelected: (publicId: string) => all || selected.has(publicId),
    /** With `range`, everything from the last selected one. */
    toggle: (publicId: string, range = false) => {
      const ids = lines.map((line) => line.publicId)
      const [from, to] = [last === null ? -1 : ids.indexOf(last), ids.indexOf(publicId)]
      const span =
        range && from >= 0 && to >= 0 ? ids.slice(Math.min(from, to), Math.max(from, to) + 1) : [publicId]
      const next = new Map(all ? lines.map((line) => [line.publicId, line.revision]) : selected)
      const on = range || !next.has(publicId)
      for (const id of span) {
        const line = lines.find((one) => one.publicId === id)
        if (on && line) next.set(id, line.revision)
        else next.delete(id)
      }
      setSelected(next)
      setAll(false)
      setLast(publicId)
    },
    select: (publicId: string) => {
      const line = lines.find((one) => one.publicId === publicId)
      if (line && !all) setSelected((before) => new Map(before).set(publicId, line.revision))
      setLast(publicId)
    },
    selectAll: () => setAll(!all),
    clear,
  }
}
export type Selection = ReturnType<typeof useSelection>
