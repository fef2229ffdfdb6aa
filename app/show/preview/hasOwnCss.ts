import type { EditorView } from '../../../server/publishing/showViews'

/** Whether any of the draft's own CSS has an effect. */
export const hasOwnCss = ({ painted }: EditorView): boolean =>
  painted.some(({ ownCss }) => ownCss.rules.length > 0)
