import { prepareMigrated, removePrepared } from './prepared'

/** Runs once before all unit tests. */
export default async function setUp() {
  await prepareMigrated()
  return removePrepared
}
