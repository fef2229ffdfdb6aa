import { translateCode } from '../../core/messages/code'
import { say } from '../../core/messages/say/problems'
import { requireShop } from '../account/session'
import type { Route } from './+types/notices'

export interface NoticeShown {
  about: string
  title: string
  text: string
  /** Null if it is a matter of the server. */
  to: string | null
}

/** The notices of a shop as sentences, so that pages need no words for them. */
export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop)
  const notices = await context.elogio.notices(shop)
  const shown: NoticeShown[] = notices.map(({ about, text, link }) => ({
    about,
    title: say(`problems.about.${about}`),
    text: translateCode(say, text),
    to: link && `/s/${shop.slug}/${link}`,
  }))
  return Response.json(shown)
}
