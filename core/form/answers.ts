import { z } from 'zod'
import type { Answer } from '../intake/answer'
import { typedDay } from '../formats/typedDay'
import { messageCode } from '../messages/code'
import { answerField, askedQuestions } from './askedQuestions'
import { LONG_ANSWER_LIMIT, SHORT_ANSWER_LIMIT } from './choices'
import type { FormDesign, Question } from './design'

const missing = messageCode('form.error.answer')
const notOffered = messageCode('form.error.option')

const typed = (limit: number) =>
  z
    .string({ error: missing })
    .transform((text) => text.replace(/\r\n?/g, '\n'))
    .refine((text) => text.length <= limit, {
      error: (issue) => messageCode('form.error.longText', { over: String(issue.input).length - limit }),
    })

/** Empty is no answer. */
/** What a question accepts, as the text that is stored. */
function answerTo({ kind, options, steps, required }: Question) {
  const isOffered = (answer: string) => answer === '' || options.includes(answer)
  const schemas = {
    short: () => typed(SHORT_ANSWER_LIMIT),
    long: () => typed(LONG_ANSWER_LIMIT),
    one: () => z.string({ error: notOffered }).refine(isOffered, { error: notOffered }),
    several: () =>
      z
        .array(z.string({ error: notOffered }).refine(isOffered, { error: notOffered }))
        .max(options.length, { error: notOffered })
        .transform((chosen) => options.filter((option) => chosen.includes(option)).join('\n')),
    date: () =>
      z
        .string({ error: messageCode('form.error.date') })
        // Browsers send ISO dates; without their field people type what their language writes.
        .transform((given) => (given.trim() === '' ? '' : typedDay(given)))
        .refine((day) => day !== null, { error: messageCode('form.error.date') }),
    scale: () =>
      z
        .string({ error: notOffered })
        .refine((step) => step === '' || (/^[1-9]\d?$/.test(step) && Number(step) <= steps), {
          error: notOffered,
        })
        .transform((step) => step && `${step}/${steps}`),
  }
  return schemas[kind]()
    .optional()
    .transform((answer) => answer?.trim() ?? '')
    .refine((answer) => !required || answer !== '', { error: missing })
}

/** The fields of a form's own questions. */
export const answerFields = (design: Pick<FormDesign, 'questions'>) =>
  Object.fromEntries(askedQuestions(design).map((question) => [answerField(question.id), answerTo(question)]))

/** The answers in a submission, in the order of the questions; without those that were left empty. */
export function answersIn(
  design: Pick<FormDesign, 'questions'>,
  submission: Record<string, unknown>,
): Answer[] {
  return askedQuestions(design).flatMap(({ id, label, public: isPublic }) => {
    const value = submission[answerField(id)]
    return typeof value === 'string' && value !== ''
      ? [{ label, value, question: id, ...(!isPublic && { private: true as const }) }]
      : []
  })
}
