declare module 'knex/lib/dialects/better-sqlite3/index.js' {
  import { Knex } from 'knex'

  export default class BetterSqlite3Client extends Knex.Client {
    transacting?: boolean
    runner(builder: unknown): unknown
  }
}
