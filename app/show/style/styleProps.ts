import type { ThemeGroup } from '../../../core/display/lookChanges'
import { differsFromLook, groupAsInLook, themeBefore } from '../../../core/display/lookChanges'
import { changing, type StripProps } from '../strips/stripProps'

export type StyleProps = Pick<StripProps, 'draft' | 'view' | 'change'>

/** What the fields of a group need: the theme, its change, and the way back to the look if it differs. */
export function groupOf(props: StyleProps, group: ThemeGroup) {
  const { draft, view, change } = props
  const before = themeBefore(draft.theme, view.ownLooks)
  return {
    theme: draft.theme,
    set: changing(props, 'theme'),
    goBack: differsFromLook(draft.theme, before, group)
      ? () => change({ ...draft, theme: groupAsInLook(draft.theme, before, group) })
      : null,
  }
}
