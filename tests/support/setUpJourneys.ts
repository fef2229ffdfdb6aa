import { prepareDemo, prepareMigrated, removePrepared } from './prepared'

/** Runs once before all browser tests. */
export default async function setUp() {
  await prepareMigrated()
  await prepareDemo()
  return removePrepared
}
