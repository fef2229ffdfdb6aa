import { hasOptions } from './choices'
import type { Question } from './design'

/** The questions that are asked, each with the options that are offered: those with words, each once. */
export function askedQuestions<Q extends Question>({ questions }: { questions: Q[] }): Q[] {
  return questions
    .map((question) => ({
      ...question,
      label: question.label.trim(),
      options: [...new Set(question.options.map((option) => option.trim()).filter(Boolean))],
    }))
    .filter(({ label, kind, options }) => label !== '' && (!hasOptions(kind) || options.length > 0))
}

/** The name of a question's field. */
export const answerField = (id: string): string => `answer_${id}`
