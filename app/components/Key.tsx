import { useShortcutsOn } from './shortcutPreference'

/** The key of a button; not where keys are turned off, and not on touch screens. */
export function Key({ children }: { children: string }) {
  if (!useShortcutsOn()) return null
  return (
    <kbd
      className="ml-1.5 font-sans text-[11px] leading-4 font-semibold opacity-75 pointer-coarse:hidden"
      aria-hidden="true"
    >
      {children}
    </kbd>
  )
}
