import { useEffect, useRef, type ReactNode } from 'react'

/** A button that opens a small menu. Escape, a click elsewhere and a new page close it. */
export function Menu({
  label,
  name,
  up = false,
  children,
}: {
  label: ReactNode
  name: string
  /** Opens upwards where there is no room below. */
  up?: boolean
  children: ReactNode
}) {
  const details = useRef<HTMLDetailsElement>(null)
  useEffect(() => {
    const close = (event: Event) => {
      const menu = details.current
      if (!menu?.open) return
      if (event instanceof KeyboardEvent) {
        if (event.key !== 'Escape') return
        menu.open = false
        menu.querySelector('summary')?.focus()
      } else if (!(event.target instanceof Node && menu.contains(event.target))) menu.open = false
    }
    document.addEventListener('keydown', close)
    document.addEventListener('pointerdown', close)
    return () => {
      document.removeEventListener('keydown', close)
      document.removeEventListener('pointerdown', close)
    }
  }, [])
  return (
    <details ref={details} className="relative">
      <summary className="flex min-h-8 cursor-pointer list-none items-center">
        {label}
        <span className="sr-only">{name}</span>
      </summary>
      <div
        className={`panel absolute right-0 z-20 min-w-56 p-2 text-ink ${up ? 'bottom-full mb-1' : 'mt-2'}`}
        onClick={() => details.current && (details.current.open = false)}
      >
        {children}
      </div>
    </details>
  )
}
