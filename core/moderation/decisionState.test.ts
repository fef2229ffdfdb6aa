import { expect, test } from 'vitest'
import { changedParts, revertChange, type DecisionState } from './decisionState'

const waiting: DecisionState = {
  state: 'waiting',
  versionId: 7,
  showable: true,
  publishedVersionId: null,
  publishedAt: null,
  declineReasonId: null,
  productId: 3,
  replyId: null,
  verificationId: null,
  tagIds: [1, 2],
  declinedPhotoIds: [],
  evidenceIds: [],
}
const approved: DecisionState = { ...waiting, state: 'approved', publishedVersionId: 9, publishedAt: 'then' }

test('what differs is named, and parts that an old entry lacks did not change', () => {
  expect(changedParts(waiting, approved)).toEqual(['state', 'publishedVersionId', 'publishedAt'])
  expect(changedParts({ state: 'waiting' }, { state: 'spam' })).toEqual(['state'])
  expect(changedParts(waiting, waiting)).toEqual([])
})

test('taking back restores what the act changed and leaves what came later', () => {
  const later = { ...approved, productId: 4, replyId: 7, tagIds: [1, 2, 5] }
  expect(revertChange({ before: waiting, after: approved }, later)).toEqual({
    ...waiting,
    productId: 4,
    replyId: 7,
    tagIds: [1, 2, 5],
  })
})

test('of tags only the act’s own go or come back', () => {
  const tagged = { ...waiting, tagIds: [1, 2, 5] }
  expect(revertChange({ before: waiting, after: tagged }, { ...waiting, tagIds: [1, 5, 8] }).tagIds).toEqual([
    1, 8,
  ])
  expect(revertChange({ before: tagged, after: waiting }, { ...waiting, tagIds: [2] }).tagIds).toEqual([2, 5])
})
