import { useEffect, useRef, useState } from 'react'
import type { RenderedDisplay } from '../../../onsite/render'
import { say } from '../../../core/messages/say/show'
import { fillBox } from './fillBox'
import { boxOn, fillOthers, pathTo } from './ownPage'
import { clickedIn, type Clicked } from './previewParts'

/** The visible part of the page above the display, in CSS pixels. */
const ROOM_ABOVE = 32

/** The display in the shop's own page: fetched by the server, without scripts, in a sandbox. */
export function PageFrame({
  address,
  displayKey,
  spot,
  preview,
  width,
  choosing,
  choose,
  clicked,
  stands,
  failed,
}: {
  address: string
  displayKey: string
  spot: string
  preview: RenderedDisplay
  width: number
  /** Whether a click chooses the position. */
  choosing: boolean
  choose: (spot: string) => void
  clicked: (clicked: Clicked | null) => void
  /** Called with the width of the box and the product of the page. */
  stands: (box: { element: HTMLElement; width: number; product: string | null; placed: boolean }) => void
  /** Called with the reason if there is no page. */
  failed: (why: string) => void
}) {
  const frame = useRef<HTMLIFrameElement>(null)
  const [box, setBox] = useState<HTMLElement | null>(null)
  // Only a filled page is long enough to scroll.
  const unseen = useRef(false)

  useEffect(() => {
    const element = frame.current
    if (!element) return
    const settle = () => {
      const page = element.contentDocument
      if (!page?.body || page.URL === 'about:blank') return
      if (page.contentType !== 'text/html') {
        failed(page.body.textContent.trim())
        return
      }
      const coded = page.querySelector(`[data-elogio="${CSS.escape(displayKey)}"]`) !== null
      const found = boxOn(page, displayKey, spot)
      fillOthers(page, found)
      setBox(found)
      stands({
        element: found,
        width: found.offsetWidth,
        product: found.dataset.product ?? null,
        placed: coded || spot !== '',
      })
      unseen.current = true
    }
    element.addEventListener('load', settle)
    settle()
    return () => element.removeEventListener('load', settle)
    // Callbacks are no dependencies.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [address, displayKey, spot])

  useEffect(() => {
    if (!box) return
    const end = fillBox(box, preview, box.dataset.theme)
    if (unseen.current) {
      // `scrollIntoView` would scroll our own page too.
      const page = box.ownerDocument.defaultView
      page?.scrollTo(0, box.getBoundingClientRect().top + page.scrollY - ROOM_ABOVE)
    }
    unseen.current = false
    return end
  }, [box, preview])

  useEffect(() => {
    if (!box) return
    const watch = new ResizeObserver(() =>
      stands({
        element: box,
        width: box.offsetWidth,
        product: box.dataset.product ?? null,
        placed: true,
      }),
    )
    watch.observe(box)
    return () => watch.disconnect()
    // oxlint-disable-next-line react/exhaustive-deps
  }, [box])

  useEffect(() => {
    const page = box?.ownerDocument
    if (!page || !box) return
    const heard = (event: MouseEvent) => {
      event.preventDefault()
      const inBox = event.composedPath().includes(box)
      if (choosing && !inBox && event.target instanceof page.defaultView!.Element) {
        choose(pathTo(event.target))
        return
      }
      const at = inBox ? clickedIn(event) : null
      const around = frame.current!.getBoundingClientRect()
      clicked(
        at && {
          ...at,
          box: new DOMRect(at.box.x + around.x, at.box.y + around.y, at.box.width, at.box.height),
        },
      )
    }
    page.addEventListener('click', heard)
    return () => page.removeEventListener('click', heard)
  }, [box, choosing, choose, clicked])

  return (
    <iframe
      ref={frame}
      title={say('show.preview')}
      src={address}
      sandbox="allow-same-origin"
      className="block h-full bg-white"
      style={{ width }}
    />
  )
}
