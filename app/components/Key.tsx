import { useShortcutsUsed } from './shortcutPreference'

/** The key of a button, visible once a key has been used. Its space is reserved, except on touch screens. */
export function Key({ children }: { children: string }) {
  const used = useShortcutsUsed()
  return (
    <kbd
      className={`ml-1.5 font-sans text-[11px] leading-4 font-semibold opacity-75 pointer-coarse:hidden ${used ? '' : 'invisible'}`}
      aria-hidden="true"
    >
      {children}
    </kbd>
  )
}
