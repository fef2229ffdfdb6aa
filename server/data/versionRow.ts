import { z } from 'zod'
import { answerSchema, type Answer } from '../../core/intake/answer'
import type { ReviewVersion } from '../../core/intake/review'

const columns: Record<Exclude<keyof ReviewVersion, 'about' | 'answers'>, string> = {
  title: 'title',
  body: 'body',
  authorName: 'author_name',
  ratingValue: 'rating_value',
  ratingScale: 'rating_scale',
  rating: 'rating',
  language: 'language',
  consentText: 'consent_text',
  consentAnswer: 'consent_answer',
  writtenAt: 'written_at',
  writtenPrecision: 'written_precision',
  salt: 'salt',
}
const aboutColumns: Record<keyof ReviewVersion['about'], string> = {
  role: 'author_role',
  company: 'company',
  companyUrl: 'company_url',
  seenUrl: 'seen_url',
  seenPublic: 'seen_public',
  relationship: 'relationship',
  portrait: 'portrait',
  companyLogo: 'company_logo',
}

type Value = string | number | boolean | null

const renamed = (names: Record<string, string>, of: object): Record<string, Value> =>
  Object.fromEntries(
    Object.entries(of)
      .filter(([name, value]: [string, unknown]) => name in names && value !== undefined)
      .map(([name, value]: [string, Value]) => [names[name], value]),
  )

/** The columns of a version, or of the given parts. */
export const versionRow = ({
  about,
  answers,
  ...version
}: Partial<ReviewVersion>): Record<string, Value> => ({
  ...renamed(columns, version),
  ...(answers && { answers: JSON.stringify(answers) }),
  ...(about && renamed(aboutColumns, about)),
})

export const versionSelection = { ...columns, ...aboutColumns, answers: 'answers' }

type Flat = Omit<ReviewVersion, 'about' | 'answers'> &
  Omit<ReviewVersion['about'], 'seenPublic'> & { seenPublic: 0 | 1; answers: string }

/** A row that was selected with `versionSelection`. */
export function readVersionRow({ seenPublic, answers, ...row }: Flat): ReviewVersion {
  const picked = <K extends keyof typeof row>(names: object) =>
    Object.fromEntries(Object.entries(row).filter(([name]) => name in names)) as Pick<typeof row, K>
  return {
    ...picked<Exclude<keyof ReviewVersion, 'about' | 'answers'>>(columns),
    answers: readAnswers(answers),
    about: {
      ...picked<Exclude<keyof ReviewVersion['about'], 'seenPublic'>>(aboutColumns),
      seenPublic: seenPublic === 1,
    },
  }
}

/** The column `answers`. */
export const readAnswers = (stored: string): Answer[] => answers.parse(JSON.parse(stored))
const answers = z.array(answerSchema)
