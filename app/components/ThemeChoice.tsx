import { useRouteLoaderData } from 'react-router'
import { say } from '../../core/messages/say/frame'
import { useReload } from './useReload'
import { themes, wearTheme, type Theme } from '../theme'

export function ThemeChoice() {
  const chosen = useRouteLoaderData<{ theme: Theme }>('root')?.theme ?? 'system'
  const reload = useReload()
  return (
    <label
      className="flex items-center justify-between gap-3 px-3 py-2"
      // The menu closes on a click; opening the select is no choice yet.
      onClick={(event) => event.stopPropagation()}
    >
      {say('frame.theme.name')}
      <select
        className="select select-sm w-32 border-edge"
        value={chosen}
        onChange={(event) => {
          wearTheme(event.currentTarget.value as Theme)
          reload()
        }}
      >
        {themes.map((theme) => (
          <option key={theme} value={theme}>
            {say(`frame.theme.${theme}`)}
          </option>
        ))}
      </select>
    </label>
  )
}
