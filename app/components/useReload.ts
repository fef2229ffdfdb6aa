import { useCallback } from 'react'
import { useRevalidator } from 'react-router'
import { noteReload } from '../underWay'

/** Loads the page's data again. */
export function useReload(): () => void {
  const { revalidate } = useRevalidator()
  return useCallback(() => noteReload(revalidate()), [revalidate])
}
