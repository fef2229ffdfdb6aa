/** Links a small rating or badge to the reviews on the same page, if there are any. */
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
