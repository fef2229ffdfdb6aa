/** Who changes something. */
export type Actor =
  | { kind: 'member'; memberId: number }
  | { kind: 'customer' | 'system' }
  | { kind: 'rule'; rule: string }
  | { kind: 'key'; key: string }

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
