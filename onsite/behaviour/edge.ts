/** The heights of the window at which the mark may stand, in percent, the best first. */
const heights = [50, 40, 60, 32, 68, 25, 76]
const pressable = 'a,button,input,select,textarea,label,summary,video,[role=button],[tabindex],[onclick]'

/**
 * Puts the mark at the edge of the window, above everything whatever surrounds the code, but never over something that
 * people press; and opens the reviews over the page.
 */
export default function edge(root: ParentNode): () => void {
  const box = root.querySelector<HTMLElement>('.eg-edge')
  const mark = box?.querySelector<HTMLElement>('.eg-mark')
  const sheet = box?.querySelector('dialog')
  const host = (root as ShadowRoot).host ?? box
  if (!box || !mark || !sheet) return () => undefined
  const ending = new AbortController()
  const heard = { signal: ending.signal, passive: true }

  // Only what has a colour of its own covers the page.
  let around: Element | null = host
  let background = 'rgba(0, 0, 0, 0)'
  for (; around && /^rgba\(.*, 0\)$|transparent/.test(background); around = around.parentElement)
    background = getComputedStyle(around).backgroundColor
  const own = getComputedStyle(box)
  const isOwn = !box.classList.contains('eg-on-page')
  box.style.setProperty(
    '--eg-sheet',
    isOwn ? own.backgroundColor : background.replace(/^rgba\(.*, 0\)$/, '#fff'),
  )
  box.style.setProperty('--eg-ink', own.color)
  box.classList.add('eg-awake')
  mark.popover = 'manual'
  mark.showPopover()

  /** Whether something that people press is below the mark. */
  const covers = () => {
    const { left, right, top, bottom } = mark.getBoundingClientRect()
    const xs = [left + 1, (left + right) / 2, right - 1]
    const ys = Array.from({ length: 7 }, (_, i) => top + 1 + ((bottom - top - 2) * i) / 6)
    return xs.some((x) =>
      ys.some((y) =>
        document.elementsFromPoint(x, y).some((element) => element !== host && element.closest(pressable)),
      ),
    )
  }
  function place(): void {
    if (!mark!.matches(':popover-open')) mark!.showPopover()
    const half = mark!.offsetHeight / 2
    const free = heights.some((height) => {
      mark!.style.setProperty('--eg-at', `calc(${height}vh - ${half}px)`)
      return !covers()
    })
    if (!free) mark!.hidePopover()
  }
  let waiting = 0
  const later = () => {
    clearTimeout(waiting)
    waiting = window.setTimeout(place, 150)
  }
  place()
  addEventListener('scroll', later, heard)
  addEventListener('resize', later, heard)
  mark.addEventListener('click', () => sheet.showModal(), heard)
  sheet.querySelector('.eg-shut')?.addEventListener('click', () => sheet.close(), heard)
  // A press beside the sheet closes it.
  sheet.addEventListener(
    'click',
    ({ target, clientX, clientY }) => {
      const { left, right, top, bottom } = sheet.getBoundingClientRect()
      const isOutside = clientX < left || clientX > right || clientY < top || clientY > bottom
      if (target === sheet && isOutside) sheet.close()
    },
    heard,
  )
  return () => {
    ending.abort()
    clearTimeout(waiting)
  }
}
