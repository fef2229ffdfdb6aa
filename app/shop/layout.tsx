import { Outlet } from 'react-router'
import { requireShop } from '../account/session'
import { Band } from '../components/Band'
import { useFreshCounts } from './useFreshCounts'
import type { Route } from './+types/layout'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { member, shop, shops } = await requireShop(request, context, params.shop)
  return {
    member: { name: member.name, email: member.email },
    shop: { slug: shop.slug, name: shop.name, isOwner: shop.role === 'owner' },
    shops: shops.map(({ slug, name }) => ({ slug, name })),
    counts: await context.elogio.stepCounts(shop),
  }
}

export default function ShopLayout({ loaderData }: Route.ComponentProps) {
  useFreshCounts(loaderData.shop.slug)
  return (
    <div className="shop-page flex min-h-dvh flex-col pb-12 lg:h-dvh lg:pb-0">
      <Band {...loaderData} />
      <Outlet />
    </div>
  )
}
