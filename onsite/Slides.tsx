import type { ReactNode } from 'react'
import type { DisplayModel } from '../core/display/displayModel'
import { regionName } from './regionName'

/** How long a movement takes; the usual one is the browser's own. */
const millisecondsOf = { usual: undefined, calm: 1100, quick: 180, atOnce: 0 }

/** A row that scrolls; `behaviour/slide.ts` activates its controls. */
export function Slides({ model, children }: { model: DisplayModel; children: ReactNode }) {
  const { layout, translate, quotations } = model
  const { arrows, dots, autoplay, step } = layout
  const several = quotations.length > 1
  return (
    <div
      className="eg-slides"
      role="group"
      aria-roledescription="carousel"
      aria-label={regionName(model)}
      data-step={step}
      data-seconds={autoplay || undefined}
      data-ms={millisecondsOf[layout.speed]}
      data-go-to={translate('visitor.goTo', { place: '#', all: '%' })}
    >
      {children}
      {several && (arrows || dots || autoplay > 0) && (
        <div className="eg-steps">
          {arrows && <Step name="back" label={translate('visitor.before')} path="M15 5l-7 7 7 7" />}
          {dots && <span className="eg-dots" />}
          {arrows && <Step name="on" label={translate('visitor.after')} path="M9 5l7 7-7 7" />}
          {autoplay > 0 && (
            <button
              type="button"
              className="eg-play"
              data-pause={translate('visitor.pause')}
              data-play={translate('visitor.play')}
            >
              {translate('visitor.pause')}
            </button>
          )}
        </div>
      )}
    </div>
  )
}

function Step({ name, label, path }: { name: string; label: string; path: string }) {
  return (
    <button type="button" className={`eg-step eg-${name}`} aria-label={label}>
      <svg viewBox="0 0 24 24" width="20" height="20" aria-hidden="true">
        <path d={path} fill="none" stroke="currentColor" strokeWidth="2" />
      </svg>
    </button>
  )
}
