import { useEffect, useRef } from 'react'
import type { RenderedDisplay } from '../../../onsite/render'
import { fillBox } from './fillBox'
import { clickedIn, type Clicked } from './previewParts'

export function PlainBackground({
  preview,
  look,
  width,
  clicked,
  stands,
}: {
  preview: RenderedDisplay
  look: { background: string; textColour: string; fonts: string }
  width: number
  clicked: (clicked: Clicked | null) => void
  stands: (element: HTMLElement) => void
}) {
  const host = useRef<HTMLDivElement>(null)
  useEffect(() => {
    const box = host.current
    if (!box) return
    stands(box)
    return fillBox(box, preview)
    // oxlint-disable-next-line react/exhaustive-deps
  }, [preview, look.background])
  useEffect(() => {
    const box = host.current
    if (!box) return
    const heard = (event: MouseEvent) => {
      event.preventDefault()
      clicked(clickedIn(event))
    }
    box.addEventListener('click', heard)
    return () => box.removeEventListener('click', heard)
  }, [clicked])
  return (
    <div className="h-full overflow-x-hidden overflow-y-auto [scrollbar-gutter:stable]" tabIndex={0}>
      <div
        className="min-h-full p-6"
        style={{
          width,
          background: look.background,
          color: look.textColour,
          fontFamily: look.fonts || undefined,
        }}
      >
        <div className="text-[17px]">
          <div ref={host} />
        </div>
      </div>
    </div>
  )
}
