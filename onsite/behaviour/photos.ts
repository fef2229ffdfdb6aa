/** Opens photos and videos above the page. Arrow keys move between those of a review; nothing plays by itself. */
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
    const video = view!.querySelector('video')!
    const { poster } = link.dataset
    const { alt } = link.querySelector('img')!
    const shown = poster ? video : image
    image.hidden = poster !== undefined
    video.hidden = !poster
    video.pause()
    if (poster) video.poster = poster
    else image.alt = alt
    video.ariaLabel = alt
    shown.src = link.href
    shown.width = Number(link.dataset.w)
    shown.height = Number(link.dataset.h)
    view!.querySelector('p')!.textContent = `${alt} (${at + 1} / ${links.length})`
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
    const video = document.createElement('video')
    video.controls = true
    video.playsInline = true
    video.preload = 'metadata'
    dialog.append(
      document.createElement('img'),
      video,
      said,
      button('eg-turn', '←', words.back!, () => show(at - 1)),
      button('eg-turn', '→', words.on!, () => show(at + 1)),
      button('eg-shut', '×', words.close!, () => dialog.close()),
    )
    dialog.addEventListener('keydown', (event) => {
      // A video has its own arrow keys.
      const step = event.target === video ? 0 : { ArrowLeft: -1, ArrowRight: 1 }[event.key]
      if (step) show(at + step)
      // The page behind may use the same keys.
      event.stopPropagation()
    })
    dialog.addEventListener('close', () => video.pause())
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
