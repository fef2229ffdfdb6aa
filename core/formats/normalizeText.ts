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
