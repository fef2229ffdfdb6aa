import type { ListingStory } from '../story'

const onMap = { origin: 'lanternway', kind: 'listing' } as const

/** The shop's pages on other sites, and the answers of a survey. The access key for the market was withdrawn. */
export const listings: ListingStory[] = [
  { ...onMap, id: 'LW7Q4K2M9A' },
  { ...onMap, id: 'LW3S8T5B1C', tag: 'saturday stall' },
  { origin: 'brindlepost', kind: 'post', id: 'newest', of: 'wrenfieldbees' },
  {
    origin: 'page',
    kind: 'listing',
    id: '/sheets/tasting-day.csv',
    tag: 'tasting afternoon',
    sheet: {
      name: 'Tasting afternoon',
      questions: {
        'Which honey did you like best?': 'Favourite honey',
        'Would you come again?': 'Coming again?',
      },
    },
  },
  { origin: 'barrowmere', kind: 'listing', id: '48213', accessKey: 'bw-4417-wrenfield', withdrawn: true },
]
