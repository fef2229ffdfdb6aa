const names = new Intl.DisplayNames('en', { type: 'language' })

/** The English name of a language: "German" for `de`. */
export const languageName = (tag: string): string => names.of(tag) ?? tag
