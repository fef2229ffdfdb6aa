import { useEffect } from 'react'
import { useFetcher, useParams, useSearchParams } from 'react-router'
import type { Miniatures } from '../../server/publishing/showViews'

/** The layouts as small pictures; null until they are there. */
export function useMiniatures(): Miniatures | null {
  const { shop, key } = useParams()
  const product = useSearchParams()[0].get('product') ?? ''
  const { load, data } = useFetcher<Miniatures>({ key: 'miniatures' })
  useEffect(() => {
    void load(`/s/${shop}/show/${key}/miniatures?${new URLSearchParams({ product }).toString()}`)
  }, [load, shop, key, product])
  return data ?? null
}
