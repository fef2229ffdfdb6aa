import { redirect } from 'react-router'
import type { Route } from './+types/start'

export function loader({ params }: Route.LoaderArgs) {
  return redirect(`/s/${params.shop}/gather`)
}
