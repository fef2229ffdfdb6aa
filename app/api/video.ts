import { messageCode } from '../../core/messages/code'
import { photoRefusal } from '../public/photos/storePhoto'
import { storeVideo } from '../public/photos/storeVideo'
import type { Route } from './+types/video'

/** Stores a piece of a video before its form is sent. */
export async function action({ params, request, context }: Route.ActionArgs) {
  return storeVideo(await context.elogio.openForm(params.slug), { request, context })
}

export function loader({ request }: Route.LoaderArgs) {
  return photoRefusal(request)(405, messageCode('problem.method'), { Allow: 'POST' })
}
