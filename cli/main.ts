import { Command } from 'commander'
import type { Knex } from 'knex'
import { existsSync } from 'node:fs'
import path from 'node:path'
import { translateCode } from '../core/messages/code'
import { say } from '../core/messages/say/everything'
import { resetPassword } from '../server/account/settings'
import { openData } from '../server/backup/openData'
import { restoreBackup } from '../server/backup/restoreBackup'
import { writeBackup } from '../server/backup/writeBackup'
import { readConfig, type Config } from '../server/config'
import { mediaFolder } from '../server/dataFolder'
import { verifyLogs } from '../server/moderation/verifyLogs'
import { buildServices } from '../server/services'
import { assessFile } from './assess'
import { matchFiles } from './match'
import { readFile } from './readFile'
import { saveVocabulary, trainVocabulary } from './trainVocabulary'
import { saveWording, trainWording } from './trainWording'

// What a command writes is for the account that runs it alone.
process.umask(0o077)

const program = new Command('elogio').description('The use cases without a screen, on the data folder.')

program
  .command('read <file>')
  .description('what bringing a file in would take, as JSON; needs no database')
  .option('--as <kind>', 'text: a pasted mail, chat, note or list of notes')
  .action((file: string, { as }: { as?: string }) => {
    console.log(JSON.stringify(readFile(file, as, new Date(Date.now()).toISOString().slice(0, 10)), null, 2))
  })

program
  .command('assess <reviews>')
  .description('weighs the reviews of a JSON Lines file: state, score and reasons; needs no database')
  .option('--own <domains>', 'the shop’s own domains, parted by commas', '')
  .option('--teach <file>', 'decisions learnt first, as JSON Lines with "decision": "approved" or "spam"')
  .action((reviews: string, { own, teach }: { own: string; teach?: string }) => {
    const ownDomains = own
      .split(',')
      .map((domain) => domain.trim().toLowerCase())
      .filter(Boolean)
    printLines(assessFile(reviews, ownDomains, teach))
  })

program
  .command('train-wording')
  .description('makes the text model and the vocabulary that ship, from the texts written for them')
  .action(() => {
    const file = trainWording()
    saveWording(file)
    saveVocabulary(trainVocabulary())
    console.log(`${file.weights.length} bytes`)
  })

program
  .command('match <reviews>')
  .description(
    'for each review of a JSON Lines file the order that proves its writer bought; needs no database',
  )
  .requiredOption('--orders <file>', 'a CSV of orders, a row for a line of an order')
  .option('--zone <name>', 'the shop’s time zone, in which days are counted', 'UTC')
  .action((reviews: string, { orders, zone }: { orders: string; zone: string }) => {
    printLines(matchFiles(orders, reviews, zone, new Date(Date.now()).toISOString()))
  })

program
  .command('backup <file>')
  .description('writes database, pictures and secret into one file; Elogio may run meanwhile')
  .action(async (file: string) => {
    const dataFolder = dataIn(readConfig(process.env))
    const given = { dataFolder, file, now: new Date(Date.now()), withMedia: true }
    const { mediaFiles } = await writeBackup(given)
    console.log(`${file} contains the database and ${mediaFiles} pictures.`)
  })

program
  .command('restore <file>')
  .description('puts a backup in the place of the data; Elogio has to be stopped')
  .action(async (file: string) => {
    const { manifest, replaced } = await restoreBackup(
      readConfig(process.env).dataFolder,
      file,
      new Date(Date.now()),
    )
    console.log(`The data is that of ${manifest.madeAt}, made by version ${manifest.version}.`)
    if (replaced) console.log(`What was there before is in ${replaced}; delete it when all is well.`)
  })

program
  .command('log')
  .description('the log of decisions')
  .command('verify')
  .description('recomputes the chain of every shop’s log; exits with 1 when one is broken')
  .action(() =>
    onData(async (db) => {
      const checks = await verifyLogs({ db })
      for (const { shop, check } of checks) {
        console.log(
          check.holds
            ? `${shop}: ${check.entries} entries, the chain holds`
            : `${shop}: BROKEN at entry ${check.brokenAt} of ${check.entries}`,
        )
      }
      if (checks.some(({ check }) => !check.holds)) process.exitCode = 1
    }),
  )

program
  .command('member')
  .description('the people of the installation')
  .command('password <email>')
  .description('gives a member a new password and signs her out everywhere')
  .action((email: string) =>
    onData(async (db, config) => {
      const signing = {
        signingKey: Buffer.alloc(0),
        publicUrl: config.publicUrl,
        mediaFolder: mediaFolder(config.dataFolder),
      }
      const password = await resetPassword(buildServices({ db, ...signing }), email)
      if (password === null) throw new Error(`There is no member with the address ${email}.`)
      console.log(`The new password of ${email} is ${password}`)
    }),
  )

// A single write, because a hundred thousand are slow.
function printLines(records: object[]): void {
  process.stdout.write(records.map((record) => `${JSON.stringify(record)}\n`).join(''))
}

/** The data folder, if there is data in it. */
function dataIn({ dataFolder }: Config): string {
  if (!existsSync(path.join(dataFolder, 'elogio.db')))
    throw new Error(`There is no data in ${dataFolder}. Set ELOGIO_DATA to the data folder.`)
  return dataFolder
}

async function onData(work: (db: Knex, config: Config) => Promise<void>): Promise<void> {
  const config = readConfig(process.env)
  const db = await openData(dataIn(config), new Date(Date.now()))
  try {
    await work(db, config)
  } finally {
    await db.destroy()
  }
}

try {
  await program.parseAsync()
} catch (error) {
  console.error(error instanceof Error ? translateCode(say, error.message) : error)
  process.exitCode = 1
}
