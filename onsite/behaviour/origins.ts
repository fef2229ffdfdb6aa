/**
 * Reads by origin: filters the reviews that are there at once, and fetches further ones of the chosen site only
 * if there are any. Without scripts the choices are links to a page.
 */
export default function origins(root: ParentNode): () => void {
  const choices = root.querySelector<HTMLElement>('.eg-origins')
  const list = root.querySelector<HTMLElement>('.eg ol')
  if (!choices || !list) return () => undefined
  const links = [...choices.querySelectorAll<HTMLAnchorElement>('a')]
  const first = [...list.children]
  const fetched = new Map<string, Element[]>()
  let chosen = ''

  function show(origin: string): void {
    const further = fetched.get(origin) ?? []
    const shown = first.filter((item) => origin === '' || item.getAttribute('data-origin') === origin)
    list!.replaceChildren(...shown, ...further)
    for (const link of links) {
      if (link.dataset.origin === origin) link.setAttribute('aria-current', 'true')
      else link.removeAttribute('aria-current')
    }
  }

  async function fetchFurther(link: HTMLAnchorElement, origin: string): Promise<void> {
    const answer = await fetch(link.href.replace('/all?', '/part?'), { credentials: 'omit' })
    if (!answer.ok) return
    const made = document.createElement('ol')
    made.innerHTML = await answer.text()
    const there = new Set(first.map((item) => item.getAttribute('data-review')))
    const further = [...made.children].filter((item) => !there.has(item.getAttribute('data-review')))
    fetched.set(origin, further)
    if (chosen === origin) show(origin)
  }

  const choose = (event: MouseEvent) => {
    const link = (event.target as Element).closest('a')
    if (!link || event.metaKey || event.ctrlKey || event.shiftKey) return
    event.preventDefault()
    const origin = link.dataset.origin ?? ''
    chosen = origin
    show(origin)
    const loaded = first.filter((item) => item.getAttribute('data-origin') === origin).length
    if (origin && !fetched.has(origin) && loaded < Number(link.dataset.here))
      void fetchFurther(link, origin).catch(() => undefined)
  }
  choices.addEventListener('click', choose)
  return () => choices.removeEventListener('click', choose)
}
