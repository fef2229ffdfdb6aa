import Database from 'better-sqlite3'
import {
  chownSync,
  existsSync,
  mkdtempSync,
  mkdirSync,
  readFileSync,
  readdirSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import fs from 'node:fs'
import knex from 'knex'
import { syncBuiltinESMExports } from 'node:module'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { create, extract } from 'tar'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { migrate, migrations } from '../data/migrations'
import { openDatabase } from '../data/database'
import { makeDailyBackup } from './dailyBackup'
import { openData } from './openData'
import { completeRestore, restoreBackup } from './restoreBackup'
import { writeBackup } from './writeBackup'

const now = new Date('2026-11-29T14:30:05Z')
let root: string
let data: string
beforeEach(() => {
  root = mkdtempSync(path.join(tmpdir(), 'elogio-backup-'))
  data = path.join(root, 'data')
})
afterEach(() => rmSync(root, { recursive: true, force: true }))

const inData = (name: string, folder = data) => path.join(folder, name)

/** A data folder with a member of a name and one picture. */
async function filled(name: string, folder = data): Promise<void> {
  mkdirSync(inData('media', folder), { recursive: true })
  const db = knex({
    client: 'better-sqlite3',
    connection: { filename: inData('elogio.db', folder) },
    useNullAsDefault: true,
  })
  await migrate(db)
  await db('member').insert({
    public_id: name,
    email: `${name}@elogio.example`,
    name,
    password_hash: '',
    created_at: now.toISOString(),
  })
  await db.destroy()
  writeFileSync(inData(`media/${name}.webp`, folder), name)
  writeFileSync(inData('secret', folder), `the secret of ${name}`)
}

function contentsOf(folder = data) {
  const db = new Database(inData('elogio.db', folder), { readonly: true })
  const members = db.prepare('SELECT name FROM member ORDER BY name').pluck().all()
  db.close()
  return {
    members,
    media: readdirSync(inData('media', folder)),
    secret: readFileSync(inData('secret', folder), 'utf8'),
  }
}
const of = (name: string) => ({ members: [name], media: [`${name}.webp`], secret: `the secret of ${name}` })

const backup = async (name = 'backup.tar.gz', withMedia = true) => {
  const file = path.join(root, name)
  await writeBackup({ dataFolder: data, file, now, withMedia })
  return file
}

test('a backup that is made while others write is whole, and restores everything elsewhere', async () => {
  await filled('mara')
  const db = await openDatabase(inData('elogio.db'))
  let isOver = false
  let written = 0
  const writing = (async () => {
    while (!isOver) {
      const name = `n${written++}`
      await db('member').insert({
        public_id: name,
        email: `${name}@elogio.example`,
        name,
        password_hash: '',
        created_at: '',
      })
      await new Promise((resolve) => setImmediate(resolve))
    }
  })()
  const file = await backup()
  isOver = true
  await writing
  await db.destroy()
  expect(written).toBeGreaterThan(0)
  expect(statSync(file).mode & 0o777).toBe(0o600)
  expect(readdirSync(data).filter((name) => name.startsWith('backup-work'))).toEqual([])

  const elsewhere = path.join(root, 'elsewhere')
  expect((await restoreBackup(elsewhere, file, now)).replaced).toBeNull()
  const { members, ...rest } = contentsOf(elsewhere)
  expect(members).toContain('mara')
  expect(rest).toEqual({ media: ['mara.webp'], secret: 'the secret of mara' })
})

test.skipIf(process.getuid?.() !== 0)(
  'what root restores, also from another account, belongs to the account of the data folder',
  async () => {
    await filled('mara')
    const foreign = path.join(root, 'foreign.tar.gz')
    const [unpacked, own] = [path.join(root, 'unpacked'), 12_345]
    mkdirSync(unpacked)
    await extract({ file: await backup(), cwd: unpacked })
    for (const name of ['elogio.db', 'secret', 'media/mara.webp'])
      chownSync(path.join(unpacked, name), 777, 777)
    await create({ cwd: unpacked, file: foreign, gzip: true }, readdirSync(unpacked))
    chownSync(data, own, own)
    const { replaced } = await restoreBackup(data, foreign, now)
    const restored = ['elogio.db', 'secret', 'media', 'media/mara.webp'].map((name) => inData(name))
    expect([...restored, replaced!].map((file) => statSync(file).uid)).toEqual(Array(5).fill(own))
  },
)

test.skipIf(process.getuid?.() !== 0)(
  'whoever is not root restores into a folder of another account, and gives nothing away',
  async () => {
    await filled('mara')
    const file = await backup()
    chownSync(data, 12_345, 12_345)
    vi.spyOn(process, 'getuid').mockReturnValue(1000)
    try {
      await restoreBackup(data, file, now)
    } finally {
      vi.restoreAllMocks()
    }
    expect(statSync(inData('elogio.db')).uid).toBe(0)
  },
)

test('a file that exists is not overwritten', async () => {
  await filled('mara')
  const file = await backup()
  const before = readFileSync(file)
  await expect(backup()).rejects.toThrow('exists already')
  expect(readFileSync(file).equals(before)).toBe(true)
})

test('while Elogio has the database open, nothing is restored', async () => {
  await filled('mara')
  const file = await backup()
  const db = await openDatabase(inData('elogio.db'))
  await expect(restoreBackup(data, file, now)).rejects.toThrow('Elogio is running. Stop it first')
  await db.destroy()
  await restoreBackup(data, file, now)
  expect(contentsOf()).toEqual(of('mara'))
})

test('what was there before a restore stays beside it', async () => {
  await filled('mara')
  const file = await backup()
  rmSync(data, { recursive: true })
  await filled('ned')
  const { replaced } = await restoreBackup(data, file, now)
  expect(contentsOf()).toEqual(of('mara'))
  expect(contentsOf(replaced!)).toEqual(of('ned'))
})

test('a cut, changed or foreign file changes nothing', async () => {
  await filled('mara')
  const file = await backup()
  const whole = readFileSync(file)
  const tried = async (name: string, bytes: Buffer) => {
    const wrong = path.join(root, name)
    writeFileSync(wrong, bytes)
    await expect(restoreBackup(data, wrong, now), name).rejects.toThrow('Nothing has changed')
    expect(contentsOf()).toEqual(of('mara'))
  }
  await tried('cut.tar.gz', whole.subarray(0, whole.length - 2000))
  await tried('empty.tar.gz', Buffer.alloc(0))
  await tried('text.tar.gz', Buffer.from('not an archive'))
  const foreign = path.join(root, 'foreign.tar.gz')
  await create({ cwd: data, file: foreign, gzip: true }, ['elogio.db', 'media'])
  await tried('noManifest.tar.gz', readFileSync(foreign))
  await expect(restoreBackup(data, path.join(root, 'nowhere.tar.gz'), now)).rejects.toThrow(
    'There is no file',
  )
})

test('an interrupted restore leaves the old data, or is completed at the next start', async () => {
  await filled('mara')
  const file = await backup()
  rmSync(data, { recursive: true })
  for (let at = 0; ; at++) {
    rmSync(data, { recursive: true, force: true })
    await filled('ned')
    let moves = 0
    const rename = fs.renameSync
    const spied = vi.spyOn(fs, 'renameSync').mockImplementation((from, to) => {
      if (moves++ === at) throw new Error('the power is gone')
      rename(from, to)
    })
    syncBuiltinESMExports()
    const outcome = await restoreBackup(data, file, now).then(
      () => 'done',
      () => 'interrupted',
    )
    spied.mockRestore()
    syncBuiltinESMExports()
    const db = await openData(data, now)
    await db.destroy()
    expect(contentsOf(), `interrupted before move ${at}`).toEqual(of(at === 0 ? 'ned' : 'mara'))
    expect(readdirSync(data).filter((name) => name.startsWith('restore-'))).toEqual([])
    if (outcome === 'done') {
      expect(at).toBeGreaterThan(5)
      break
    }
  }
  expect(completeRestore(data)).toBeNull()
})

test('what a killed backup has left is deleted at the next start', () => {
  const backups = path.join(data, 'backups')
  mkdirSync(path.join(data, 'backup-work-x'), { recursive: true })
  mkdirSync(backups, { recursive: true })
  writeFileSync(path.join(backups, 'daily-2026-11-25T09-00-00.tar.gz.part'), 'half')
  writeFileSync(path.join(backups, 'daily-2026-11-24T09-00-00.tar.gz'), 'whole')
  completeRestore(data)
  expect(readdirSync(backups)).toEqual(['daily-2026-11-24T09-00-00.tar.gz'])
  expect(readdirSync(data)).not.toContain('backup-work-x')
})

test('before an update the database is copied, and the copy brings it back', async () => {
  await filled('mara')
  migrations.push({
    name: '1999_next_version',
    migration: {
      up: (db) => db('member').update({ name: 'changed by the new version' }),
      down: async () => undefined,
    },
  })
  try {
    await (await openData(data, now)).destroy()
  } finally {
    migrations.pop()
  }
  expect(contentsOf().members).toEqual(['changed by the new version'])
  const [copy] = readdirSync(inData('backups'))
  expect(copy).toBe('before-update-2026-11-29T14-30-05.tar.gz')
  await restoreBackup(data, inData(`backups/${copy}`), now)
  expect(contentsOf()).toEqual(of('mara'))
})

test('data of a newer version is left alone, with what to do', async () => {
  await filled('mara')
  const db = new Database(inData('elogio.db'))
  db.prepare("INSERT INTO knex_migrations (name, batch) VALUES ('9999_from_the_future', 9)").run()
  db.close()
  await expect(openData(data, now)).rejects.toThrow('newer version of Elogio')
})

test('data from before the first release is left alone, with what to do', async () => {
  await filled('mara')
  const db = new Database(inData('elogio.db'))
  db.prepare("UPDATE knex_migrations SET name = '0031_many_products'").run()
  db.close()
  await expect(openData(data, now)).rejects.toThrow('Set ELOGIO_DATA to another folder')
  const old = await backup()
  await expect(restoreBackup(data, old, now)).rejects.toThrow('it was made before the first release')
})

test('a backup a day is made, and a week of them is kept', async () => {
  await filled('mara')
  const day = (days: number, hours = 0) => new Date(now.getTime() + (24 * days + hours) * 3_600_000)
  expect(await makeDailyBackup(data, day(0))).toBe(true)
  expect(await makeDailyBackup(data, day(0, 1))).toBe(false)
  for (let days = 1; days <= 8; days++) expect(await makeDailyBackup(data, day(days))).toBe(true)
  const names = readdirSync(inData('backups')).toSorted()
  expect([names.length, names[0], names.at(-1)]).toEqual([
    7,
    'daily-2026-12-01T14-30-05.tar.gz',
    'daily-2026-12-07T14-30-05.tar.gz',
  ])
  expect(existsSync(inData('backup-work-'))).toBe(false)
})
