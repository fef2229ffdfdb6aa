import { useHotkeys, type HotkeyCallback, type Options } from 'react-hotkeys-hook'

/** Handles a key by the letter that it types, on any keyboard layout. Fields are left alone. */
export function useLetter(keys: string, act: HotkeyCallback, options: Options = {}): void {
  useHotkeys(keys, act, { useKey: true, ...options })
}

/** A character that some keyboards type with a modifier, such as `/` and `?`. */
export function useCharacter(character: string, act: HotkeyCallback): void {
  useHotkeys(character, act, { useKey: true, ignoreModifiers: true, preventDefault: true })
}
