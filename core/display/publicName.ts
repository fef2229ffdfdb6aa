import type { Parts } from './configuration'

const title =
  /^(?:mr|mrs|ms|miss|mx|dr|prof|sir|dame|herr|frau|mme|mlle|monsieur|madame|sra?|srta|pan|pani)\.?$/iu

/** The public form of a writer's name; by default first name and initial ("Piotr L."). */
export function publicName(name: string, form: Parts['name'] = 'firstInitial'): string {
  const [family, given] = name.split(',').map((part) => part.trim())
  const ordered = given ? `${given} ${family}` : name.trim()
  const parts = ordered.split(/\s+/u).filter((part) => /[\p{L}\p{N}]/u.test(part))
  const bare = parts.filter((part, i) => i === parts.length - 1 || !title.test(part))
  const first = bare[0] ?? ''
  const last = bare.length > 1 ? bare.at(-1)! : ''
  switch (form) {
    case 'hidden':
      return ''
    case 'full':
      return parts.length > 0 ? ordered.replace(/\s+/gu, ' ') : ''
    case 'first':
      return first
    case 'initials':
      return [first, last].filter(Boolean).map(initial).join(' ')
    case 'firstInitial':
      return last ? `${first} ${initial(last)}` : first
  }
}

const initial = (part: string) => `${part.match(/[\p{L}\p{N}]/u)![0].toUpperCase()}.`
