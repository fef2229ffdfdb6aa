import type { Opinion } from './site'

const DAY_MS = 86_400_000

/** One opinion a line, its parts separated by bars. Ids stay the same as long as name and text do. */
export function readOpinions(
  lines: string,
  now: Date,
  read: (parts: string[]) => Partial<Opinion> & { daysAgo: number; name: string; text: string },
): Opinion[] {
  return lines
    .trim()
    .split('\n')
    .map((line) => {
      const { daysAgo, ...given } = read(line.split('|'))
      const id = idOf(given.name + given.text)
      return {
        id,
        face: idOf(id).charCodeAt(3) % 3 === 0,
        rating: null,
        title: '',
        likes: 0,
        bought: false,
        at: new Date(now.getTime() - daysAgo * DAY_MS).toISOString(),
        ...given,
      }
    })
}

function idOf(words: string): string {
  let [one, two] = [2166136261, 5381]
  for (const sign of words) {
    one = Math.imul(one ^ sign.codePointAt(0)!, 16777619) >>> 0
    two = (Math.imul(two, 33) + sign.codePointAt(0)!) >>> 0
  }
  return `${one.toString(36)}${two.toString(36)}`.slice(0, 10).padEnd(10, '0')
}
