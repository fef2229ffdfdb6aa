import type { Elogio } from '../server/elogio'
import type { Throttle } from '../server/http/throttle'
import type { Log } from '../server/log'
import 'react-router'

declare module 'react-router' {
  interface AppLoadContext {
    elogio: Elogio
    demoSignIn: { email: string; password: string } | null
    throttle: Throttle
    secureCookies: boolean
    /** Empty if unknown. */
    clientAddress: string
    /** Null if no form was sent. */
    form: FormData | null
    log: Log
    nonce: string
  }
}
