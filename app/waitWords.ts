import { translateCode } from '../core/messages/code'
import { say } from '../core/messages/say/customers'
import { waitCode } from './waitCode'

/** The same in English, for members. */
export const waitWords = (seconds: number): string => translateCode(say, waitCode(seconds))
