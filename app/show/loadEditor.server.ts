import { data, type AppLoadContext } from 'react-router'
import { z } from 'zod'
import { trials } from '../../core/display/tryOut'
import { spokenMoment } from '../../core/formats/dates'
import { say } from '../../core/messages/say/show'
import type { EditorChanges, EditorView } from '../../server/publishing/showViews'
import { requireShop } from '../account/session'

interface Named {
  shop: string
  key: string
}

/** The data of the editor. */
export async function loadEditor(request: Request, context: AppLoadContext, params: Named) {
  const view = await loadEditorChanges(request, context, params)
  if (!hasPicks(view)) throw new Error('the editor has no picks')
  return view
}

const hasPicks = <V extends EditorChanges>(view: V): view is V & EditorView => view.picked !== undefined

/**
 * The data of the editor for a browser that has some of it.
 * @param hasPicksOf what the picks that it has are computed from; without it they come in any case
 */
export async function loadEditorChanges(
  request: Request,
  context: AppLoadContext,
  params: Named,
  hasPicksOf?: string,
) {
  const { shop } = await requireShop(request, context, params.shop, 'displays')
  const search = new URL(request.url).searchParams
  const trial = z.enum(trials).catch('real').parse(search.get('with'))
  const product = search.get('product') || undefined
  const view = await context.elogio.editorView(shop, params.key, { trial, product, hasPicksOf })
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
