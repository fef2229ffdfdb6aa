import { en as customerTexts } from '../customers/en'
import { ownerTexts } from '../en'
import { sayOf } from './sayOf'

const english = { ...ownerTexts, ...customerTexts } as const
export type English = typeof english

/** For the server and the commands. In a page it would load every text. */
export const say = sayOf(english)
