import type { Elogio } from '../server/elogio'
import type { Throttle } from '../server/http/throttle'
import 'react-router'

declare module 'react-router' {
  interface AppLoadContext {
    elogio: Elogio
    demoSignIn: { email: string; password: string } | null
    throttle: Throttle
    secureCookies: boolean
    /** The network address that a request came from. */
    askerOf: (request: Request) => string
    nonce: string
  }
}
