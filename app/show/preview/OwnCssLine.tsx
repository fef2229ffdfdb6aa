import { useEffect, useState } from 'react'
import type { EditorView } from '../../../server/publishing/showViews'
import { OwnCssFaults } from './OwnCssFaults'
import { judgeOwnCss, type OwnCssFault } from './judgeOwnCss'

/** After the last change, so that typing stays smooth. */
const PAUSE_MS = 600

/** What own CSS hides, from what the browser paints. */
export default function OwnCssLine({ view }: { view: EditorView }) {
  const [faults, setFaults] = useState<OwnCssFault[]>([])
  useEffect(() => {
    let isLatest = true
    const judge = async () => {
      const found = await judgeOwnCss(view)
      if (isLatest) setFaults(found)
    }
    const timer = setTimeout(() => void judge(), PAUSE_MS)
    return () => {
      isLatest = false
      clearTimeout(timer)
    }
  }, [view])
  return (
    <span role="status" className="empty:sr-only" data-own-css={faults.length > 0 ? 'bad' : 'good'}>
      <OwnCssFaults faults={faults} />
    </span>
  )
}
