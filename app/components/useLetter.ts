import { useHotkeys, type HotkeyCallback, type Options } from 'react-hotkeys-hook'

/** A key by the letter that it types, wherever that lies on a keyboard; fields keep what is typed in them. */
export function useLetter(keys: string, act: HotkeyCallback, options: Options = {}): void {
  useHotkeys(keys, act, { useKey: true, ...options })
}

/** A sign that some keyboards reach only with a second key held, such as `/` and `?`. */
export function useSign(sign: string, act: HotkeyCallback): void {
  useHotkeys(sign, act, { useKey: true, ignoreModifiers: true, preventDefault: true })
}
