import { data, type AppLoadContext } from 'react-router'
import { z } from 'zod'
import { trials } from '../../core/display/tryOut'
import { spokenMoment } from '../../core/formats/dates'
import { say } from '../../core/messages/say/show'
import { requireShop } from '../account/session'

/** The data of the editor. */
export async function loadEditor(
  request: Request,
  context: AppLoadContext,
  params: { shop: string; key: string },
) {
  const { shop } = await requireShop(request, context, params.shop, 'displays')
  const search = new URL(request.url).searchParams
  const trial = z.enum(trials).catch('real').parse(search.get('with'))
  const product = search.get('product') || undefined
  const view = await context.elogio.editorView(shop, params.key, { trial, product })
  if (!view) throw data(null, { status: 404 })
  const spoken = (moment: string) =>
    spokenMoment(moment, {
      now: context.elogio.now(),
      timeZone: shop.timeZone,
      locale: shop.locale,
      today: say('today'),
    })
  return {
    ...view,
    locale: shop.locale,
    keptAt: spoken(view.savedAt),
    liveAt: view.live?.publishedAt ? spoken(view.live.publishedAt) : null,
    seenAt: view.seen.map(({ lastAt }) => spoken(lastAt)),
    spokenVersions: view.versions.map(({ at, ...version }) => ({ ...version, spokenAt: spoken(at) })),
    localOnly: /^https?:\/\/(localhost|127\.|\[::1\])/.test(view.pageUrl),
  }
}
