const barred: Record<string, string> = {
  ł: 'l',
  ø: 'o',
  đ: 'd',
  ħ: 'h',
  ß: 'ss',
  æ: 'ae',
  œ: 'oe',
  þ: 'th',
  ð: 'd',
  ı: 'i',
}

/** Normalizes text for comparing: compatibility forms, lower case, without accents. */
export function normalizeText(text: string): string {
  return text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[łøđħßæœþðı]/g, (letter) => barred[letter] ?? letter)
}

/** The normalized words of what was typed, as it is, between spaces. Control characters part words too: SQLite ends a query at the first NUL. */
export const normalizedWords = (typed: string): string[] =>
  normalizeText(typed)
    .split(/[\s\p{Cc}]+/u)
    .filter(Boolean)
