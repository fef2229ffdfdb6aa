import { changedSince } from '../changedParts.server'
import { loadEditor } from './loadEditor.server'
import type { Route } from './+types/changed'

/** The parts of the editor's data that have changed since the browser loaded them. */
export async function loader({ request, context, params }: Route.LoaderArgs) {
  const view = await loadEditor(request, context, params)
  return Response.json(changedSince(view, request.headers.get('X-Marks')))
}
