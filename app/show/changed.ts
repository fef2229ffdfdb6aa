import { changedSince, readMarks } from '../changedParts.server'
import { loadEditorChanges } from './loadEditor.server'
import type { Route } from './+types/changed'

/** The parts of the editor's data that have changed since the browser loaded them. */
export async function loader({ request, context, params }: Route.LoaderArgs) {
  const marks = readMarks(request.headers.get('X-Marks'))
  return Response.json(changedSince(await loadEditorChanges(request, context, params, marks.picksOf), marks))
}
