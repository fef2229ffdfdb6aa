import { z } from 'zod'

/** Who changes something. */
export const actorSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('member'), memberId: z.number() }),
  z.object({ kind: z.enum(['customer', 'system']) }),
  z.object({ kind: z.literal('rule'), rule: z.string() }),
  z.object({ kind: z.literal('key'), key: z.string() }),
])
export type Actor = z.infer<typeof actorSchema>

export const asMember = ({ id }: { id: number }): Actor => ({ kind: 'member', memberId: id })
export const asCustomer: Actor = { kind: 'customer' }
export const asSystem: Actor = { kind: 'system' }

/** Null for others than members. */
export const memberIdOf = (actor: Actor): number | null => (actor.kind === 'member' ? actor.memberId : null)

/** The text that the log stores for actors other than members. */
export function actorText(actor: Actor): string | null {
  switch (actor.kind) {
    case 'member':
      return null
    case 'rule':
      return `rule:${actor.rule}`
    case 'key':
      return `key:${actor.key}`
    default:
      return actor.kind
  }
}
