import { prepare, prepareMigrated } from './prepared'

/** Runs once before all unit tests. */
export default () => prepare(prepareMigrated)
