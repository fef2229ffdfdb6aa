// A thread has no loader for TypeScript until it registers one.
import { register } from 'tsx/esm/api'

register()
const { default: run } = await import('./thread.ts')

export default run
