const title =
  /^(?:mr|mrs|ms|miss|mx|dr|prof|sir|dame|herr|frau|mme|mlle|monsieur|madame|sra?|srta|pan|pani)\.?$/iu

/** A writer's name as visitors see it: first name and the initial of the last ("Piotr L."). */
export function publicName(name: string): string {
  const [family, given] = name.split(',').map((part) => part.trim())
  const ordered = given ? `${given} ${family}` : name
  const parts = ordered.split(/\s+/u).filter((part) => /[\p{L}\p{N}]/u.test(part))
  const bare = parts.filter((part, i) => i === parts.length - 1 || !title.test(part))
  const first = bare[0] ?? ''
  if (bare.length < 2) return first
  const initial = bare
    .at(-1)!
    .match(/[\p{L}\p{N}]/u)![0]
    .toUpperCase()
  return `${first} ${initial}.`
}
