import type { Elogio } from '../server/elogio'
import 'react-router'

declare module 'react-router' {
  interface AppLoadContext {
    elogio: Elogio
    demoSignIn: { email: string; password: string } | null
    secureCookies: boolean
    nonce: string
  }
}
