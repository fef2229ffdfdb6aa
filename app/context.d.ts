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
    /** The network address of the client; empty when nobody knows. */
    clientAddress: string
    /** The fields of the form that came with the request; null when none came. */
    form: FormData | null
    log: Log
    nonce: string
  }
}
