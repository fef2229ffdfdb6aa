import { expect, test } from 'vitest'
import { buildUploadMemory } from './uploadMemory'

test('one client has its share, and what is released can be taken again', () => {
  const memory = buildUploadMemory(100, 60)
  const now = () => 0
  const [first, second, other] = ['a', 'a', 'b'].map((client) => memory.open(client, now, () => undefined))
  expect([first!.grow(40), second!.grow(30), second!.grow(20), other!.grow(50)]).toEqual([
    true,
    false,
    true,
    false,
  ])
  first!.release()
  first!.release()
  expect([other!.grow(60), second!.grow(20)]).toEqual([true, true])
})

test('when all is taken the slowest upload gives way to a faster one, and never to a slower one', () => {
  const memory = buildUploadMemory(100, 100)
  let time = 0
  const given: string[] = []
  const open = (name: string) =>
    memory.open(
      name,
      () => time,
      () => given.push(name),
    )
  const slow = open('slow')
  slow.grow(50)
  time = 10_000
  const young = open('young')
  young.grow(50)
  time = 10_100
  const fast = open('fast')
  time = 10_101
  expect([fast.grow(40), given]).toEqual([true, ['slow']])
  expect([slow.grow(1), fast.grow(40), given]).toEqual([false, false, ['slow']])
})
