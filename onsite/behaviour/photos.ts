/** Opens photos above the page. Arrow keys move between the photos of a review. */
export default function photos(root: ParentNode): () => void {
  const ending = new AbortController()
  const heard = { signal: ending.signal }
  let links: HTMLAnchorElement[] = []
  let at = 0
  let view: HTMLDialogElement | null = null

  function show(to: number): void {
    at = (to + links.length) % links.length
    const link = links[at]!
    const image = view!.querySelector('img')!
    image.src = link.href
    image.alt = link.querySelector('img')!.alt
    image.width = Number(link.dataset.w)
    image.height = Number(link.dataset.h)
    view!.querySelector('p')!.textContent = `${image.alt} (${at + 1} / ${links.length})`
    for (const step of view!.querySelectorAll<HTMLElement>('.eg-turn')) step.hidden = links.length < 2
  }

  function made(words: DOMStringMap): HTMLDialogElement {
    const dialog = document.createElement('dialog')
    dialog.className = 'eg-view'
    const button = (name: string, sign: string, label: string, act: () => void) => {
      const made = document.createElement('button')
      made.type = 'button'
      made.className = name
      made.textContent = sign
      made.ariaLabel = label
      made.addEventListener('click', act)
      return made
    }
    const said = document.createElement('p')
    said.setAttribute('aria-live', 'polite')
    dialog.append(
      document.createElement('img'),
      said,
      button('eg-turn', '←', words.back!, () => show(at - 1)),
      button('eg-turn', '→', words.on!, () => show(at + 1)),
      button('eg-shut', '×', words.close!, () => dialog.close()),
    )
    dialog.addEventListener('keydown', (event) => {
      const step = { ArrowLeft: -1, ArrowRight: 1 }[event.key]
      if (step) show(at + step)
      // The page behind may use the same keys.
      event.stopPropagation()
    })
    dialog.addEventListener('click', (event) => event.target === dialog && dialog.close())
    return dialog
  }

  for (const row of root.querySelectorAll<HTMLElement>('.eg-photos'))
    row.addEventListener(
      'click',
      (event) => {
        const link = (event.target as Element).closest('a')
        const box = row.closest('.eg')
        if (!link || !box || event.ctrlKey || event.metaKey || event.shiftKey) return
        event.preventDefault()
        links = [...row.querySelectorAll('a')]
        view ??= made(row.dataset)
        box.append(view)
        show(links.indexOf(link))
        view.showModal()
      },
      heard,
    )
  return () => {
    ending.abort()
    view?.remove()
  }
}
