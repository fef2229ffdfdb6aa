import { fillBox } from './fillBox'

/**
 * The position of the display: its embed code, otherwise the chosen position, otherwise the end of the main
 * content.
 */
export function boxOn(page: Document, key: string, spot: string): HTMLElement {
  const standing = page.querySelector<HTMLElement>(`[data-elogio="${CSS.escape(key)}"]`)
  if (standing) return standing
  const box = page.createElement('div')
  box.dataset.elogio = key
  const after = spot === '' ? null : page.querySelector(spot)
  if (after) after.after(box)
  else (page.querySelector('main') ?? page.body).append(box)
  return box
}

/** Fills the other displays of a page as they are published. */
export function fillOthers(page: Document, own: HTMLElement): void {
  for (const box of page.querySelectorAll<HTMLElement>('[data-elogio]')) {
    if (box === own || box.shadowRoot) continue
    const query = new URLSearchParams()
    for (const name of ['product', 'limit', 'lang', 'theme'] as const)
      if (box.dataset[name]) query.set(name, box.dataset[name])
    void fetch(`/d/${encodeURIComponent(box.dataset.elogio!)}.json?${query}`)
      .then(async (answer) => {
        if (!answer.ok) return
        const { html, css } = (await answer.json()) as { html: string; css: string }
        fillBox(box, { html, css, behaviours: [] }, box.dataset.theme)
      })
      .catch(() => undefined)
  }
}

/** A short CSS path that finds an element again in a later version of the page. */
export function pathTo(element: Element): string {
  const steps: string[] = []
  for (let at: Element | null = element; at && at.tagName !== 'HTML'; at = at.parentElement) {
    if (at.id && !/\d{3}/.test(at.id)) {
      steps.unshift(`#${CSS.escape(at.id)}`)
      break
    }
    const same = [...(at.parentElement?.children ?? [])].filter(({ tagName }) => tagName === at!.tagName)
    steps.unshift(`${at.tagName.toLowerCase()}:nth-of-type(${same.indexOf(at) + 1})`)
  }
  return steps.join('>')
}
