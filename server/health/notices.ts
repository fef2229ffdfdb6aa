import { may } from '../../core/account/permissions'
import { messageCode } from '../../core/messages/code'
import type { MemberShop } from '../data/shops'
import { latestAttack } from '../moderation/attacks'
import type { Services } from '../services'
import { checksOf, type Check } from './checks'

/** Something beyond the queue that needs a person; it goes when that is mended. */
export interface Notice {
  about: Check['about'] | 'attack'
  /** A message code. */
  text: string
  /** Below the address of the shop; null if it is a matter of the server. */
  link: string | null
}

/** Helpers hear of attacks alone. */
export async function notices(services: Services, shop: MemberShop): Promise<Notice[]> {
  const attack = await latestAttack(services, shop)
  const checks = may(shop.role, 'settings') ? await checksOf(services, shop) : []
  return [
    ...(attack
      ? [
          {
            about: 'attack' as const,
            text: messageCode('problems.attack', { count: attack.count }),
            link: `decide/${attack.member.publicId}`,
          },
        ]
      : []),
    // An address of this computer alone is no fault while Elogio is tried.
    ...checks.filter(({ about, state }) => state === 'wrong' && about !== 'address'),
  ].map(({ about, text, link }) => ({ about, text, link }))
}
