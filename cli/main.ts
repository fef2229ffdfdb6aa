import { Command } from 'commander'
import { existsSync } from 'node:fs'
import path from 'node:path'
import { readConfig } from '../server/config'
import { openDatabase } from '../server/data/database'
import { verifyLogs } from '../server/moderation/verifyLogs'
import { readFile } from './readFile'

const program = new Command('elogio').description('The use cases without a screen, on the data folder.')

program
  .command('read <file>')
  .description('what bringing a file in would take, as JSON; needs no database')
  .option('--as <kind>', 'text: a pasted mail, chat, note or list of notes')
  .action((file: string, { as }: { as?: string }) => {
    console.log(JSON.stringify(readFile(file, as), null, 2))
  })

program
  .command('log')
  .description('the log of decisions')
  .command('verify')
  .description('recomputes the chain of every shop’s log; exits with 1 when one is broken')
  .action(async () => {
    const { dataFolder } = readConfig(process.env)
    const file = path.join(dataFolder, 'elogio.db')
    if (!existsSync(file))
      throw new Error(`There is no data in ${dataFolder}. Set ELOGIO_DATA to the data folder.`)
    const db = await openDatabase(file)
    try {
      const checks = await verifyLogs({ db })
      for (const { shop, check } of checks) {
        console.log(
          check.holds
            ? `${shop}: ${check.entries} entries, the chain holds`
            : `${shop}: BROKEN at entry ${check.brokenAt} of ${check.entries}`,
        )
      }
      if (checks.some(({ check }) => !check.holds)) process.exitCode = 1
    } finally {
      await db.destroy()
    }
  })

try {
  await program.parseAsync()
} catch (error) {
  console.error(error instanceof Error ? error.message : error)
  process.exitCode = 1
}
