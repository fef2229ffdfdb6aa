import type { ListingStory } from '../story'

const onMap = { origin: 'lanternway', kind: 'listing' } as const

/** The shop's pages on other sites. The access key for the market has been withdrawn since. */
export const listings: ListingStory[] = [
  { ...onMap, id: 'LW7Q4K2M9A' },
  { ...onMap, id: 'LW3S8T5B1C', tag: 'saturday stall' },
  { origin: 'brindlepost', kind: 'post', id: 'newest', of: 'wrenfieldbees' },
  { origin: 'barrowmere', kind: 'listing', id: '48213', accessKey: 'bw-4417-wrenfield', withdrawn: true },
]
