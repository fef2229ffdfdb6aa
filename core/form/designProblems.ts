import { hasOptions } from './choices'
import type { FormDesign } from './design'

type DesignProblem = { fault: 'noWords' | 'noOptions'; question: string }

/** What keeps a form from being opened: questions that could not be answered. */
export const designProblems = ({ questions }: Pick<FormDesign, 'questions'>): DesignProblem[] =>
  questions.flatMap(({ id, label, kind, options }): DesignProblem[] => {
    if (label.trim() === '') return [{ fault: 'noWords', question: id }]
    return hasOptions(kind) && !options.some((option) => option.trim())
      ? [{ fault: 'noOptions', question: id }]
      : []
  })

export const isReadyToOpen = (design: Pick<FormDesign, 'questions'>): boolean =>
  designProblems(design).length === 0
