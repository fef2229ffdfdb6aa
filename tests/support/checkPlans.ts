import { afterAll, expect } from 'vitest'
import { openMigrated } from './prepared'
import { longScans } from './queryPlans'

/** After each file of unit tests: what its tests asked of the database is answered from an index. */
afterAll(async () => {
  const db = await openMigrated()
  expect(await longScans(db), 'statements that read a growing table from end to end').toEqual([])
  await db.destroy()
})
