import { median } from 'd3-array'
import { openStates, type ReviewState } from '../../core/moderation/rules'
import { arrivalsSince, groupHolds, setGroupHolds, sharedInAttack, type LateArrival } from '../data/attacks'
import type { Shop } from '../data/shops'
import { writing } from '../data/writing'
import type { Services } from '../services'

const HOUR_MS = 3_600_000
const SHOWN_FOR_MS = 7 * 24 * HOUR_MS
const MAX_ARRIVALS = 3000
const MIN_MEMBERS = 6
const BARS = 28
/** The time before and after that the graph shows, of the length of the attack; an hour at least. */
const AROUND = 0.5

/** The latest attack on a shop, while it goes on or somebody still has to decide. */
export interface AttackView {
  groupId: number
  count: number
  /** Undecided ones. */
  open: number
  /** Published before it was noticed; they stay. */
  approved: number
  first: string
  last: string
  isOver: boolean
  /** Message codes of what they share, one a line. */
  shared: string
  /** Whether newcomers like these are held back. */
  holds: boolean
  /** A member to open: an undecided one, if there is one. */
  member: { publicId: string; state: ReviewState }
  bars: { members: number; others: number }[]
  barsFrom: string
  barsTo: string
}

export async function latestAttack({ db, now }: Services, shop: Shop): Promise<AttackView | null> {
  const moment = now().getTime()
  const since = new Date(moment - SHOWN_FOR_MS).toISOString()
  const arrivals = await arrivalsSince(db, shop.id, since, MAX_ARRIVALS)
  for (const [groupId, members] of groupsOf(arrivals)) {
    if (members.length < MIN_MEMBERS) continue
    const shared = await sharedInAttack(
      db,
      members.map(({ versionId }) => versionId),
    )
    if (shared === null) continue
    const attack = viewOf(groupId, members, arrivals, moment)
    if (attack.isOver && attack.open === 0) return null
    return { ...attack, shared, holds: await groupHolds(db, groupId) }
  }
  return null
}

/** Members of each group, both the latest first. */
function groupsOf(arrivals: LateArrival[]): Map<number, LateArrival[]> {
  const groups = new Map<number, LateArrival[]>()
  for (const arrival of arrivals) {
    if (arrival.groupId === null) continue
    const members = groups.get(arrival.groupId)
    if (members) members.push(arrival)
    else groups.set(arrival.groupId, [arrival])
  }
  return groups
}

function viewOf(groupId: number, members: LateArrival[], arrivals: LateArrival[], now: number) {
  const times = members.map(({ receivedAt }) => Date.parse(receivedAt)).reverse()
  const [first, last] = [times[0]!, times.at(-1)!]
  const gaps = times.slice(1).map((at, i) => at - times[i]!)
  const isOpen = ({ state }: LateArrival) => openStates.some((open) => open === state)
  const shown = members.find(isOpen) ?? members[0]!
  const around = Math.max(HOUR_MS, AROUND * (last - first))
  const [from, to] = [first - around, Math.min(now, last + around)]
  const bars = Array.from({ length: BARS }, () => ({ members: 0, others: 0 }))
  for (const { receivedAt, groupId: group } of arrivals) {
    const place = Math.floor(((Date.parse(receivedAt) - from) / (to - from)) * BARS)
    const bar = bars[Math.min(place, place === BARS ? BARS - 1 : place)]
    if (bar) bar[group === groupId ? 'members' : 'others']++
  }
  return {
    groupId,
    count: members.length,
    open: members.filter(isOpen).length,
    approved: members.filter(({ state }) => state === 'approved').length,
    first: new Date(first).toISOString(),
    last: new Date(last).toISOString(),
    // As long as the detector waits for another member.
    isOver: now - last > Math.max(6 * HOUR_MS, 20 * (median(gaps) ?? 0)),
    member: { publicId: shown.publicId, state: shown.state },
    bars,
    barsFrom: new Date(from).toISOString(),
    barsTo: new Date(to).toISOString(),
  }
}

/** Holds newcomers like a group back, or lets them through. */
export async function holdNewcomers(
  { db, changes }: Services,
  shop: Shop,
  groupId: number,
  holds: boolean,
): Promise<void> {
  if (await writing(db, (trx) => setGroupHolds(trx, shop.id, groupId, holds))) changes.announce(shop.id)
}
