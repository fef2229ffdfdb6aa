import { useState } from 'react'
import { useSearchParams } from 'react-router'
import { trials, type Trial } from '../../../core/display/tryOut'

const backgrounds = ['page', 'shop', 'white', 'dark', 'colour'] as const
type Background = (typeof backgrounds)[number]

export type PreviewPage = ReturnType<typeof usePreviewPage>

/**
 * What the display is seen on and with, which is part of the editor's address.
 * @param wanted the address of the shop's page without scripts; null if there is none
 */
export function usePreviewPage(wanted: string | null) {
  const [search, setSearch] = useSearchParams()
  const [failed, setFailed] = useState<{ address: string; why: string } | null>(null)
  const problem = failed?.address === wanted ? failed?.why : null
  const address = problem ? null : wanted
  const usual: Background = address ? 'page' : 'shop'
  const possible = backgrounds.filter((one) => one !== 'page' || address)
  const put = (name: string, value: string | null) => {
    const next = new URLSearchParams(search)
    if (value === null) next.delete(name)
    else next.set(name, value)
    setSearch(next, { replace: true, preventScrollReset: true })
  }
  return {
    address,
    /** Why the shop's page can't be shown. */
    problem,
    fail: (why: string) => setFailed({ address: address!, why }),
    backgrounds: possible,
    background: possible.find((one) => one === search.get('on')) ?? usual,
    setBackground: (on: Background) => put('on', on === usual ? null : on),
    trial: trials.find((one) => one === search.get('with')) ?? 'real',
    setTrial: (trial: Trial) => put('with', trial === 'real' ? null : trial),
    /** The product of the page, if the address names one. */
    product: search.get('product'),
    setProduct: (product: string) => put('product', product),
  }
}
