import { en as customerTexts } from '../customers/en'
import { ownerTexts } from '../en'
import { sayOf } from './sayOf'

const english = { ...ownerTexts, ...customerTexts } as const
export type English = typeof english

/** Says anything in English. For the server and the commands: a page would load every text. */
export const say = sayOf(english)
