import { afterAll } from 'vitest'
import { closeBrowsers } from './browser'

afterAll(closeBrowsers)
