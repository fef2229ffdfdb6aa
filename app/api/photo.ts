import { messageCode } from '../../core/messages/code'
import { photoRefusal, storePhoto } from '../public/photos/storePhoto'
import type { Route } from './+types/photo'

/** Stores a photo before its form is sent. */
export async function action({ params, request, context }: Route.ActionArgs) {
  return storePhoto(await context.elogio.openForm(params.slug), { request, context })
}

export function loader({ request }: Route.LoaderArgs) {
  return photoRefusal(request)(405, messageCode('problem.method'), { Allow: 'POST' })
}
