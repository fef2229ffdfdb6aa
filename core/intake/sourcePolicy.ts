/** How reviews reach the shop. */
export const sources = ['form', 'manualEntry', 'listing'] as const
export type Source = (typeof sources)[number]

/** What holds for every review of a source. */
export interface SourcePolicy {
  /** Who typed the review, and so who may change its words. */
  typedBy: 'customer' | 'shop' | 'site'
  /** Whether it counts in averages. One that the shop typed does once its writer has confirmed it. */
  inAverages: boolean
  /** Whether it is compared with earlier reviews, and later ones with it. */
  compared: boolean
  /** Whether its writer is asked to confirm the email address. */
  asksToConfirm: boolean
  /** Whether members hear of it. */
  notifies: boolean
  /** Whether photos of unverified writers are held back. */
  checksPhotos: boolean
  /** Whether it says why no purchase was found. */
  explainsProof: boolean
  /** The entry in the log for its arrival. */
  arrivalAct: 'arrive' | 'write' | 'find'
  /** The entry in the log for a change by whoever typed it. */
  changeAct: 'change' | 'changeThere'
  /** Whether a missing date means that nobody knows when it was written. */
  undatedIsUnknown: boolean
}

export const sourcePolicies: Record<Source, SourcePolicy> = {
  form: {
    typedBy: 'customer',
    inAverages: true,
    compared: true,
    asksToConfirm: true,
    notifies: true,
    checksPhotos: true,
    explainsProof: true,
    arrivalAct: 'arrive',
    changeAct: 'change',
    undatedIsUnknown: false,
  },
  manualEntry: {
    typedBy: 'shop',
    inAverages: false,
    compared: false,
    asksToConfirm: false,
    notifies: false,
    checksPhotos: true,
    explainsProof: false,
    arrivalAct: 'write',
    changeAct: 'change',
    undatedIsUnknown: true,
  },
  listing: {
    typedBy: 'site',
    inAverages: false,
    compared: false,
    asksToConfirm: false,
    notifies: false,
    checksPhotos: false,
    explainsProof: false,
    arrivalAct: 'find',
    changeAct: 'changeThere',
    undatedIsUnknown: true,
  },
}

/** The sources that are compared with earlier reviews. */
export const comparedSources = sources.filter((source) => sourcePolicies[source].compared)

/** The sources through which reviews come to the shop itself. */
export const ownSources = sources.filter((source) => sourcePolicies[source].typedBy !== 'site')
