import { useHotkeys, type Options } from 'react-hotkeys-hook'
import { useShortcutsOn } from './shortcutPreference'

type Act = (event: KeyboardEvent) => void

/**
 * Handles a key by its place on the keyboard (digits, arrows, Space), so that it is the same in every layout.
 * Fields, open dialogs and, for Space, focused buttons and links keep their keys.
 */
export function useShortcut(keys: string, act: Act, { enabled = true }: { enabled?: boolean } = {}): void {
  useKeys(keys, act, { enabled })
}

/** A character that some keyboards type with a modifier, such as `/` and `?`. */
export function useCharacter(character: string, act: Act): void {
  useKeys(character, act, { useKey: true, ignoreModifiers: true })
}

/** Ctrl+Z or ⌘Z outside of text fields, which have an undo of their own. It can't be turned off. */
export function useUndoShortcut(act: Act): void {
  useHotkeys('mod+z', act, { useKey: true, preventDefault: true })
}

function useKeys(keys: string, act: Act, options: Options): void {
  const on = useShortcutsOn()
  useHotkeys(keys, act, {
    preventDefault: true,
    ignoreEventWhen: isTakenElsewhere,
    ...options,
    enabled: on && (options.enabled ?? true),
  })
}

function isTakenElsewhere({ code, key, target }: KeyboardEvent): boolean {
  if (document.querySelector('dialog[open]')) return true
  // Without NumLock, the digits of the number pad move the cursor.
  if (code.startsWith('Numpad') && !/^\d$/.test(key)) return true
  return code === 'Space' && target instanceof Element && target.matches('button, a, summary, [role=button]')
}
