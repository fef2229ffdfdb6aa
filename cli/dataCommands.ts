import type { Knex } from 'knex'
import { existsSync } from 'node:fs'
import path from 'node:path'
import { readConfig, type Config } from '../server/config'
import { mediaFolder } from '../server/dataFolder'

/* The commands that work on a data folder. Each loads what it needs, so that it starts at once. */

export async function backUp(file: string): Promise<void> {
  const dataFolder = dataIn(readConfig(process.env))
  const { writeBackup } = await import('../server/backup/writeBackup')
  const given = { dataFolder, file, now: new Date(Date.now()), withMedia: true }
  const { mediaFiles } = await writeBackup(given)
  console.log(`${file} contains the database and ${mediaFiles} pictures.`)
}

export async function restore(file: string): Promise<void> {
  const { restoreBackup } = await import('../server/backup/restoreBackup')
  const { dataFolder } = readConfig(process.env)
  const { manifest, replaced } = await restoreBackup(dataFolder, file, new Date(Date.now()))
  console.log(`The data is that of ${manifest.madeAt}, made by version ${manifest.version}.`)
  if (replaced) console.log(`What was there before is in ${replaced}; delete it when all is well.`)
}

export function verifyLog(): Promise<void> {
  return onData(async (db) => {
    const { verifyLogs } = await import('../server/moderation/verifyLogs')
    const checks = await verifyLogs({ db })
    for (const { shop, check } of checks)
      console.log(
        check.holds
          ? `${shop}: ${check.entries} entries, the chain holds`
          : `${shop}: BROKEN at entry ${check.brokenAt} of ${check.entries}`,
      )
    if (checks.some(({ check }) => !check.holds)) process.exitCode = 1
  })
}

export function givePassword(email: string): Promise<void> {
  return onData(async (db, config) => {
    const { resetPassword } = await import('../server/account/settings')
    const { buildServices } = await import('../server/services')
    const signing = {
      signingKey: Buffer.alloc(0),
      publicUrl: config.publicUrl,
      mediaFolder: mediaFolder(config.dataFolder),
    }
    const password = await resetPassword(buildServices({ db, ...signing }), email)
    if (password === null) throw new Error(`There is no member with the address ${email}.`)
    console.log(`The new password of ${email} is ${password}`)
  })
}

/** The data folder, if there is data in it. */
function dataIn({ dataFolder }: Config): string {
  if (!existsSync(path.join(dataFolder, 'elogio.db')))
    throw new Error(`There is no data in ${dataFolder}. Set ELOGIO_DATA to the data folder.`)
  return dataFolder
}

async function onData(work: (db: Knex, config: Config) => Promise<void>): Promise<void> {
  const config = readConfig(process.env)
  const dataFolder = dataIn(config)
  const { openData } = await import('../server/backup/openData')
  const db = await openData(dataFolder, new Date(Date.now()))
  try {
    await work(db, config)
  } finally {
    await db.destroy()
  }
}
