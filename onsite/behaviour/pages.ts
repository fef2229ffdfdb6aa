/** Further pages load by themselves so often; then somebody asks, so that what follows the display can be reached. */
const MAX_BY_THEMSELVES = 3

/** Shows further pages in place: instead of the reviews that are there, or after them. */
export default function pages(root: ParentNode): () => void {
  const box = root.querySelector<HTMLElement>('.eg')
  const list = box?.querySelector<HTMLElement>('ol')
  if (!box || !list?.parentElement?.querySelector('.eg-pages')) return () => undefined
  let loaded = 0
  let underWay = false
  const navigation = () => box.querySelector<HTMLElement>('.eg-pages')

  async function load(address: string, replaces: boolean, focus: boolean): Promise<void> {
    if (underWay) return
    underWay = true
    navigation()?.setAttribute('aria-busy', 'true')
    try {
      const answer = await fetch(address.replace(/(\/d\/[^/?]+)\?/, '$1/part?'), { credentials: 'omit' })
      if (!answer.ok) throw new Error(String(answer.status))
      const made = document.createElement('div')
      made.innerHTML = await answer.text()
      const items = [...made.querySelectorAll<HTMLElement>(':scope>li')]
      if (replaces) list!.replaceChildren(...items)
      else list!.append(...items)
      const next = made.querySelector('.eg-pages')
      const before = navigation()
      if (next) before?.replaceWith(next)
      else before?.remove()
      watch()
      if (!focus) return
      const [first] = items
      if (!first) return
      first.tabIndex = -1
      first.focus({ preventScroll: true })
      const { top } = first.getBoundingClientRect()
      if (top < 0 || top > innerHeight) first.scrollIntoView({ block: 'start' })
    } catch {
      location.href = address
    } finally {
      underWay = false
      navigation()?.removeAttribute('aria-busy')
    }
  }

  const observer = new IntersectionObserver((entries) => {
    const link = navigation()?.querySelector('a')
    if (!link || loaded >= MAX_BY_THEMSELVES || !entries.some(({ isIntersecting }) => isIntersecting)) return
    loaded++
    void load(link.href, false, false)
  })
  function watch(): void {
    observer.disconnect()
    const at = navigation()
    if (at?.dataset.paging === 'scroll' && loaded < MAX_BY_THEMSELVES) observer.observe(at)
  }

  const choose = (event: MouseEvent) => {
    const link = (event.target as Element).closest<HTMLAnchorElement>('.eg-pages a')
    if (!link || event.metaKey || event.ctrlKey || event.shiftKey) return
    event.preventDefault()
    if (link.ariaCurrent) return
    void load(link.href, navigation()?.dataset.paging === 'pages', true)
  }
  box.addEventListener('click', choose)
  watch()
  return () => {
    observer.disconnect()
    box.removeEventListener('click', choose)
  }
}
