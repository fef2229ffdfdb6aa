import { expect, test } from 'vitest'
import { openDatabase } from '../data/database'
import { databaseFile } from '../dataFolder'
import { openSocket, rawRequest, startListener } from '../../tests/support/listener'
import { formToken } from '../../tests/support/submissions'

test('asked to stop under load it answers everything that has come, loses nothing of it and ends its streams', async () => {
  const app = await startListener({ ELOGIO_THROTTLE: 'off' })
  const tokens = await Promise.all(Array.from({ length: 40 }, () => formToken(app.url, 'wrenfield')))
  const sockets = await Promise.all(tokens.map(() => openSocket(app.port)))
  const answers = sockets.map((socket, i) => {
    const body = `rating=5&body=Number+${i}&author_name=Sam&author_email=s${i}%40post.example&token=${tokens[i]}`
    return new Promise<string>((resolve) => {
      let text = ''
      socket.on('data', (bytes: Buffer) => (text += bytes.toString('latin1')))
      socket.on('close', () => resolve(text))
      socket.write(
        rawRequest(
          'POST /f/wrenfield HTTP/1.1',
          {
            Accept: 'application/json',
            Connection: 'keep-alive',
            'Content-Type': 'application/x-www-form-urlencoded',
            'Content-Length': String(body.length),
          },
          body,
        ),
      )
    })
  })
  await expect
    .poll(async () => (await app.services.db('review').select('id')).length, {
      timeout: 20_000,
      interval: 10,
    })
    .toBeGreaterThan(0)
  const ids = (text: string) => /"id":"(\w+)"/.exec(text)?.[1]
  const stopped = app.close()
  const texts = await Promise.all(answers)
  expect(texts.filter((text) => !text.startsWith('HTTP/1.1 201'))).toEqual([])
  await stopped
  const db = await openDatabase(databaseFile(app.dataFolder))
  const kept: string[] = await db('review').pluck('public_id')
  await db.destroy()
  expect(kept.sort()).toEqual(texts.map(ids).sort())
  await expect(fetch(`${app.url}/healthz`)).rejects.toThrow()
  await app.stop()
})
