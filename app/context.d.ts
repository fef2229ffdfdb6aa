import type { Elogio } from '../server/elogio'
import type { Throttle } from '../server/http/throttle'
import 'react-router'

declare module 'react-router' {
  interface AppLoadContext {
    elogio: Elogio
    demoSignIn: { email: string; password: string } | null
    throttle: Throttle
    secureCookies: boolean
    nonce: string
  }
}
