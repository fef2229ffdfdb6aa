import { data, redirect } from 'react-router'
import { z } from 'zod'
import { say } from '../../core/messages/say/show'
import { requireShop } from '../account/session'
import { orOffline } from '../offline'
import { readForm } from '../readForm'
import type { Route } from './+types/manage'

const key = z.string().min(1).max(80)
const asked = z.discriminatedUnion('intent', [
  z.object({ intent: z.literal('copy'), key }),
  z.object({ intent: z.literal('down'), key }),
  z.object({ intent: z.literal('remove'), key }),
  z.object({ intent: z.literal('restoreDisplay'), key, live: z.enum(['yes', 'no']) }),
])

/** The result of an action on a display, with its undo. */
export interface Done {
  key: string
  words: string
  undo: { key: string; live: 'yes' | 'no' } | null
}

export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop, actor } = await requireShop(request, context, params.shop, 'displays')
  const wish = readForm(context, asked)
  const { elogio } = context
  const missing = () => data(null, { status: 404 })
  if (wish.intent === 'copy') {
    const made = await elogio.copyDisplay(shop, wish.key)
    if (!made) throw missing()
    return redirect(`/s/${params.shop}/show/${made}`)
  }
  if (wish.intent === 'restoreDisplay') {
    const name = await elogio.restoreDisplay(shop, actor, wish.key, wish.live === 'yes')
    if (!name) throw missing()
    return { key: wish.key, words: say('show.isBack', { name }), undo: null } satisfies Done
  }
  const outcome =
    wish.intent === 'down'
      ? await elogio.unpublishDisplay(shop, actor, wish.key)
      : await elogio.removeDisplay(shop, actor, wish.key)
  if (!outcome) throw missing()
  return {
    key: wish.key,
    words: say(wish.intent === 'down' ? 'show.isDown' : 'show.isRemoved', { name: outcome.name }),
    undo: { key: wish.key, live: outcome.wasLive ? 'yes' : 'no' },
  } satisfies Done
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline<Done | Response>(serverAction)
}
