declare module 'knex/lib/dialects/better-sqlite3/index.js' {
  import type { Knex } from 'knex'

  export default class BetterSqlite3Client extends Knex.Client {
    transacting?: boolean
    acquireRawConnection(): Promise<unknown>
    _query(connection: unknown, query: unknown): Promise<unknown>
    runner(builder: unknown): unknown
  }
}
