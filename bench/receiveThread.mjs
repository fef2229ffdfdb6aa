// A thread has no loader for TypeScript until it registers one.
import { register } from 'tsx/esm/api'

register()
await import('./receiveThread.ts')
