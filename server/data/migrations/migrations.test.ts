import knex from 'knex'
import { expect, test } from 'vitest'
import { fullTextQuery } from '../../../core/moderation/searchWords'
import { decisionsOfReview, readDecisionStates } from '../decisions'
import { wholeLane } from '../laneFilter'
import { approvedTally, groupsInLane, laneCounts } from '../reviewCounts'
import { reviewsInLane } from '../reviewLists'
import { migrationSource, type Named } from '.'
import * as start from './0001_start'

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
    await db('verification').insert({ shop_id: 1, review_id: 1, method: 'invitation', created_at: 'then' })
    const [, ...later] = await migrationSource.getMigrations([])
    for (const { migration } of later as Named[]) await migration.up(db)

    expect(await laneCounts(db, 1)).toMatchObject({ approved: 2, held: 1 })
    expect(await approvedTally(db, 1)).toMatchObject({ count: 2, average: 300 })
    expect(
      (await groupsInLane(db, 1, 'approved', null))
        .map(({ language, needsReply }) => [language, needsReply])
        .sort(),
    ).toEqual([
      ['de', 1],
      ['en', 0],
    ])
    expect((await groupsInLane(db, 1, 'held', null))[0]).toMatchObject({
      hasText: 0,
      language: '',
      rating: 0,
    })
    const search = { ...wholeLane('approved'), words: fullTextQuery('rahm') }
    expect((await reviewsInLane(db, 1, search, null, 10)).map(({ publicId }) => publicId)).toEqual(['b'])
    const [entry] = await decisionsOfReview(db, 1, 1)
    expect(readDecisionStates(entry!).after).toEqual({
      state: 'approved',
      publishedVersionId: 1,
      publishedAt: '',
    })
    expect(await db('shop').first('languages', 'reply_name')).toEqual({
      languages: '["de"]',
      reply_name: 'S',
    })

    expect(await db('verification').select('review_id', 'method', 'created_at')).toEqual([
      { review_id: 1, method: 'reviewRequest', created_at: 'then' },
    ])

    await db('review').where({ public_id: 'a' }).update({ state: 'declined' })
    expect(await laneCounts(db, 1)).toMatchObject({ approved: 1, declined: 1, held: 1 })
  } finally {
    await db.destroy()
  }
})
