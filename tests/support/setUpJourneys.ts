import { prepare, prepareDemo, prepareMigrated } from './prepared'

/** Runs once before all browser tests. */
export default () => prepare(prepareMigrated, prepareDemo)
