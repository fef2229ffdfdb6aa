import type { Business, Opinion } from './site'

const starts = ['Bought', 'Ordered', 'Was given', 'Collected', 'Asked about', 'Came back for']
const things = ['a rope', 'two lamps', 'an anchor', 'some varnish', 'a brass bell', 'forty hooks', 'a chart']
const ends = [
  'and would do it again.',
  'though the box was dented.',
  'after a long talk at the counter.',
  'and it outlasted the boat.',
  'for half of what I feared.',
  'on the worst day of the year.',
  'and my neighbour wants one too.',
]

/** A business of any size for tests of volume. */
export function manyOpinions(id: string, name: string, size: number, scale: number, now: Date): Business {
  const opinions = Array.from({ length: size }, (_, i): Opinion => {
    const pick = <T>(from: T[], by: number) => from[(i * by + Math.floor(i / from.length)) % from.length]!
    return {
      id: `g${id.toLowerCase().slice(-3)}${i.toString(36).padStart(5, '0')}`,
      name: `Customer ${i + 1}`,
      face: false,
      rating: i % 9 === 0 ? Math.round(scale * 0.6) : scale,
      title: '',
      text: `${pick(starts, 5)} ${pick(things, 3)} ${pick(ends, 4)} Visit ${i + 1}.`,
      at: new Date(now.getTime() - i * 3_600_000).toISOString(),
      likes: i % 40,
      bought: i % 3 === 0,
    }
  })
  return { id, name, street: 'Long Quay 1', opinions }
}
