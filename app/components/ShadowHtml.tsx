import { useEffect, useRef } from 'react'
import type { Behaviour } from '../../onsite/render'
import { wake } from './wake'

/** Shows a rendered display exactly as a visitor's page does: in a shadow root of its own. */
export function ShadowHtml({
  html,
  css,
  behaviour = null,
  className,
}: {
  html: string
  css: string
  behaviour?: Behaviour | null
  className?: string
}) {
  const host = useRef<HTMLDivElement>(null)
  useEffect(() => {
    const box = host.current
    if (!box) return
    const root = box.shadowRoot ?? box.attachShadow({ mode: 'open' })
    const sheet = new CSSStyleSheet()
    sheet.replaceSync(css)
    root.adoptedStyleSheets = [sheet]
    root.innerHTML = html
    return wake(root, behaviour)
  }, [html, css, behaviour])
  // The host takes nothing but type and colour from around it, so size and place belong to the box about it.
  return (
    <div className={className}>
      <div ref={host} />
    </div>
  )
}
