import type { Route } from './+types/formProducts'

/** The products on offer that contain what a customer types into a form; at least two letters. */
export async function loader({ params, request, context }: Route.LoaderArgs) {
  const words = (new URL(request.url).searchParams.get('q') ?? '').trim().slice(0, MAX_TYPED)
  const wait = await context.throttle.findProduct(context.clientAddress)
  if (wait !== null) return new Response(null, { status: 429, headers: { 'Retry-After': String(wait) } })
  const products = words.length < MIN_TYPED ? [] : await context.elogio.findFormProducts(params.slug, words)
  if (!products) return new Response(null, { status: 404 })
  return Response.json(products, { headers: { 'Cache-Control': 'no-store' } })
}

const MIN_TYPED = 2
const MAX_TYPED = 100
