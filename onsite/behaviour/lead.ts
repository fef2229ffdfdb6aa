/** A line or badge leads down to the reviews when they stand on the same page; else to the page of their own. */
export default function lead(root: ParentNode): () => void {
  const link = root.querySelector<HTMLAnchorElement>('.eg-to')
  const down = (event: MouseEvent) => {
    const reviews = [...document.querySelectorAll<HTMLElement>('[data-elogio]')].find((box) =>
      box.shadowRoot?.querySelector('[data-review]'),
    )
    if (!reviews) return
    event.preventDefault()
    reviews.tabIndex = -1
    reviews.focus({ preventScroll: true })
    reviews.scrollIntoView({
      behavior: matchMedia('(prefers-reduced-motion: reduce)').matches ? 'auto' : 'smooth',
    })
  }
  link?.addEventListener('click', down)
  return () => link?.removeEventListener('click', down)
}
