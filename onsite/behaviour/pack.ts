/**
 * Places each review under the shortest column. The order in the document does not change, so that keyboard focus and
 * screen readers follow it. Without scripts the reviews are in rows.
 */
export default function pack(root: ParentNode): () => void {
  const box = root.querySelector<HTMLElement>('.eg-masonry')
  const list = box?.querySelector('ol')
  if (!box || !list) return () => undefined
  const items = [...list.children] as HTMLElement[]

  function place(): void {
    const { columnGap, rowGap } = getComputedStyle(list!)
    const columns = Number(getComputedStyle(list!).getPropertyValue('--eg-n')) || 1
    const bottoms = new Array<number>(columns).fill(0)
    box!.classList.add('eg-packed')
    for (const item of items) {
      if (item.offsetHeight === 0) continue
      const column = bottoms.indexOf(Math.min(...bottoms))
      item.style.insetInlineStart = `calc(${column}*(100% + ${columnGap})/${columns})`
      item.style.top = `${bottoms[column]}px`
      bottoms[column]! += item.offsetHeight + parseFloat(rowGap)
    }
    list!.style.height = `${Math.max(0, ...bottoms) - parseFloat(rowGap)}px`
  }

  place()
  const watch = new ResizeObserver(place)
  for (const element of [list, ...items]) watch.observe(element)
  return () => watch.disconnect()
}
