import { useEffect } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import { Outlet, useNavigate, useRevalidator } from 'react-router'
import { requireShop } from '../account/session'
import { Band } from '../components/Band'
import type { Route } from './+types/layout'

const LOOK_AGAIN_MS = 20_000

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { member, shop, shops } = await requireShop(request, context, params.shop)
  return {
    member: { name: member.name, email: member.email },
    shop: { slug: shop.slug, name: shop.name },
    shops: shops.map(({ slug, name }) => ({ slug, name })),
    counts: await context.elogio.stepCounts(shop),
  }
}

export default function ShopLayout({ loaderData }: Route.ComponentProps) {
  useFreshCounts()
  const navigate = useNavigate()
  useHotkeys('n', () => void navigate(`/s/${loaderData.shop.slug}/gather/write`), { preventDefault: true })
  return (
    <div className="flex min-h-dvh flex-col lg:h-dvh">
      <Band {...loaderData} />
      <Outlet />
    </div>
  )
}

/** Counts and arrivals come in by themselves: every few seconds while the page is looked at, and on coming back. */
function useFreshCounts(): void {
  const { revalidate } = useRevalidator()
  useEffect(() => {
    const look = async () => {
      if (document.visibilityState !== 'visible') return
      // A look that fails would put an error in place of the page; while nobody answers, the page stays as it is.
      const answers = await fetch('/healthz').catch(() => null)
      if (answers?.ok) await revalidate()
    }
    const lookNow = () => void look()
    const timer = setInterval(lookNow, LOOK_AGAIN_MS)
    document.addEventListener('visibilitychange', lookNow)
    return () => {
      clearInterval(timer)
      document.removeEventListener('visibilitychange', lookNow)
    }
  }, [revalidate])
}
