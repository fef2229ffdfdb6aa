import { useEffect, useRef } from 'react'
import type { Behaviour } from '../../core/display/layoutTraits'
import { activate } from './activate'

const none: Behaviour[] = []

/** Shows a rendered display in a shadow root, as on a visitor's page. */
export function ShadowHtml({
  html,
  css,
  behaviours = none,
  className,
}: {
  html: string
  css: string
  behaviours?: Behaviour[]
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
    return activate(root, behaviours)
  }, [html, css, behaviours])
  // The host inherits only font and colour, so size and position belong to the box around it.
  return (
    <div className={className}>
      <div ref={host} />
    </div>
  )
}
