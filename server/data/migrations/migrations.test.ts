import knex from 'knex'
import { expect, test } from 'vitest'
import { fullTextQuery } from '../../../core/moderation/searchWords'
import { decisionsOfReview, pointsOf } from '../decisions'
import { wholeLane } from '../laneFilter'
import { approvedTally, groupsInLane, laneCounts } from '../reviewCounts'
import { reviewsInLane } from '../reviewLists'
import * as start from './0001_start'
import * as writtenDown from './0002_written_down'
import * as setUp from './0003_set_up'
import * as everyDay from './0004_every_day'
import * as pictures from './0005_pictures'
import * as displays from './0006_displays'
import * as whomToBelieve from './0007_whom_to_believe'
import * as photos from './0008_photos'
import * as groups from './0009_groups'

test('a database with data in it comes to the newest shape: counts, search, languages and the log stay true', async () => {
  const db = knex({
    client: 'better-sqlite3',
    connection: { filename: ':memory:' },
    useNullAsDefault: true,
    pool: { min: 1, max: 1 },
  })
  try {
    await start.up(db)
    await db('shop').insert({
      public_id: 's',
      slug: 's',
      name: 'S & Co',
      short_name: 'S',
      brand: '#000',
      locale: 'de-AT',
      time_zone: 'UTC',
      created_at: '',
    })
    const review = {
      shop_id: 1,
      source: 'form',
      arrival_state: 'waiting',
      showable: 1,
      verified: 0,
      score: 0,
      received_at: '',
      written_at: '',
      written_precision: 'moment',
    }
    const version = {
      shop_id: 1,
      number: 1,
      title: '',
      consent_text: '',
      consent_answer: 'given',
      salt: '',
      created_at: '',
    }
    for (const [public_id, state, rating, body, language] of [
      ['a', 'approved', 500, 'Square and dry.', 'en'],
      ['b', 'approved', 100, 'Zwei Rähmchen gebrochen.', 'de'],
      ['c', 'held', null, '', null],
    ] as const) {
      const [id] = await db('review').insert({ ...review, public_id, state, rating })
      const [versionId] = await db('review_version').insert({
        ...version,
        review_id: id,
        body,
        language,
        author_name: public_id,
      })
      await db('review').where({ id }).update({ current_version_id: versionId })
    }
    await db('decision').insert({
      shop_id: 1,
      number: 1,
      act: 'approve',
      review_id: 1,
      before: '{"state":"waiting","publishedVersionId":null,"publishedAt":null}',
      after: '{"state":"approved","publishedVersionId":1,"publishedAt":""}',
      digest: '',
      at: '',
      previous_hash: '',
      hash: 'h',
    })
    const later = [writtenDown, setUp, everyDay, pictures, displays, whomToBelieve, photos, groups]
    for (const migration of later) await migration.up(db)

    expect(await laneCounts(db, 1)).toMatchObject({ approved: 2, held: 1 })
    expect(await approvedTally(db, 1)).toMatchObject({ count: 2, average: 300 })
    expect(
      (await groupsInLane(db, 1, 'approved')).map(({ language, owed }) => [language, owed]).sort(),
    ).toEqual([
      ['de', 1],
      ['en', 0],
    ])
    expect((await groupsInLane(db, 1, 'held'))[0]).toMatchObject({ worded: 0, language: '', rating: 0 })
    const search = { ...wholeLane('approved'), words: fullTextQuery('rahm') }
    expect((await reviewsInLane(db, 1, search, null, 10)).map(({ publicId }) => publicId)).toEqual(['b'])
    const [entry] = await decisionsOfReview(db, 1, 1)
    expect(pointsOf(entry!).after).toEqual({ state: 'approved', publishedVersionId: 1, publishedAt: '' })
    expect(await db('shop').first('languages', 'reply_name')).toEqual({
      languages: '["de"]',
      reply_name: 'S',
    })

    await db('review').where({ public_id: 'a' }).update({ state: 'declined' })
    expect(await laneCounts(db, 1)).toMatchObject({ approved: 1, declined: 1, held: 1 })
  } finally {
    await db.destroy()
  }
})
