const MOST_DOTS = 12

/** Adds arrows, dots and automatic movement to a row. */
export default function slide(root: ParentNode): () => void {
  const box = root.querySelector<HTMLElement>('.eg-slides')
  const list = box?.querySelector('ol')
  if (!box || !list) return () => undefined
  const all = [...list.children] as HTMLElement[]
  /** Those that this width shows. */
  let items = all
  const dots = box.querySelector<HTMLElement>('.eg-dots')
  const play = box.querySelector<HTMLButtonElement>('.eg-play')
  const calm = matchMedia('(prefers-reduced-motion: reduce)').matches
  const seconds = Number(box.dataset.seconds ?? 0)
  const ending = new AbortController()
  const heard = { signal: ending.signal }
  let playing = seconds > 0 && !calm
  let held = false
  /** The target of the current movement. */
  let goal: number | null = null

  const seen = () => Number(getComputedStyle(list).getPropertyValue('--eg-n')) || 1
  const last = () => Math.max(0, items.length - seen())
  const stride = () => Number(box.dataset.step) || seen()
  const startOf = (item: HTMLElement) => Math.abs(item.offsetLeft - items[0]!.offsetLeft)
  /** The first visible review. */
  const at = () => {
    const scrolled = Math.abs(list.scrollLeft)
    const near = items.map((item) => Math.abs(startOf(item) - scrolled))
    return Math.min(last(), near.indexOf(Math.min(...near)))
  }
  /** A second press continues from the target of the first one. */
  const from = () => goal ?? at()
  const stops = () => {
    const places: number[] = []
    for (let place = 0; place < last(); place += stride()) places.push(place)
    return [...places, last()]
  }
  function go(to: number): void {
    const place = to > last() ? (from() >= last() ? 0 : last()) : to < 0 ? (from() <= 0 ? last() : 0) : to
    goal = place === at() ? null : place
    const left = startOf(items[place]!) * (getComputedStyle(list!).direction === 'rtl' ? -1 : 1)
    const { ms } = box!.dataset
    if (calm || !Number(ms)) list!.scrollTo({ left, behavior: calm || ms ? 'instant' : 'smooth' })
    else glide(left, Number(ms))
  }

  /** Scrolls in a given time; ends when somebody else moves the row, or another movement begins. */
  function glide(to: number, ms: number): void {
    const [start, begun, place] = [list!.scrollLeft, performance.now(), goal]
    list!.style.scrollSnapType = 'none'
    const move = (now: number) => {
      const done = Math.min(1, Math.max(0, now - begun) / ms)
      if (place === goal && !ending.signal.aborted) {
        list!.scrollLeft = start + (to - start) * (1 - (1 - done) ** 3)
        if (done < 1) return void requestAnimationFrame(move)
        goal = null
      }
      if (place === goal || goal === null) list!.style.scrollSnapType = ''
    }
    requestAnimationFrame(move)
  }

  function draw(): void {
    const moves = last() > 0
    box!.classList.toggle('eg-awake', moves)
    if (!dots || !moves) return
    const places = stops()
    const current = places.findLastIndex((place) => place <= at())
    if (places.length > MOST_DOTS) {
      dots.textContent = `${current + 1} / ${places.length}`
      return
    }
    if (dots.childElementCount !== places.length)
      dots.replaceChildren(
        ...places.map((_, i) => {
          const dot = document.createElement('button')
          dot.type = 'button'
          dot.ariaLabel = box!.dataset.goTo!.replace('#', String(i + 1)).replace('%', String(places.length))
          dot.addEventListener('click', () => go(stops()[i]!))
          return dot
        }),
      )
    ;[...dots.children].forEach((dot, i) => dot.toggleAttribute('aria-current', i === current))
  }

  box.querySelector('.eg-back')?.addEventListener('click', () => go(from() - stride()), heard)
  box.querySelector('.eg-on')?.addEventListener('click', () => go(from() + stride()), heard)
  // The event of an interrupted movement can arrive after the next one has begun.
  list.addEventListener(
    'scrollend',
    () => goal === at() && !list.style.scrollSnapType && (goal = null),
    heard,
  )
  for (const name of ['wheel', 'pointerdown', 'keydown'])
    list.addEventListener(name, () => (goal = null), { ...heard, passive: true })
  list.addEventListener('scroll', draw, { ...heard, passive: true })
  for (const name of ['pointerenter', 'focusin']) box.addEventListener(name, () => (held = true), heard)
  for (const name of ['pointerleave', 'focusout']) box.addEventListener(name, () => (held = false), heard)
  const say = () => play && (play.textContent = playing ? play.dataset.pause! : play.dataset.play!)
  play?.addEventListener('click', () => ((playing = !playing), say()), heard)
  say()
  const timer =
    seconds > 0
      ? setInterval(() => playing && !held && !document.hidden && go(at() + stride()), seconds * 1000)
      : undefined
  const watch = new ResizeObserver(() => {
    items = all.filter((item) => item.offsetWidth > 0)
    draw()
  })
  watch.observe(list)
  return () => {
    ending.abort()
    clearInterval(timer)
    watch.disconnect()
  }
}
