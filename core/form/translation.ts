import type { CustomerLanguage } from '../messages/customers/languages'
import type { FormDesign, Question, Translation } from './design'
import { recordOf } from '../formats/keysOf'
import { wordedFields, type WordedField } from './fields'
import type { TextKey } from './textKeys'

/** A question with its options in the reader's language; what is stored is the option itself. */
export type ShownQuestion = Question & { words?: Record<string, string> }

/** A design for its readers. */
export type ShownDesign = Omit<FormDesign, 'questions'> & { questions: ShownQuestion[] }

type Texts = Partial<Record<TextKey, string>>

/** The texts of a design, and the design with other ones. */
const textsOf = (design: FormDesign): Record<TextKey, string> => ({
  heading: design.heading,
  pictureAlt: design.picture.alt,
  ...recordOf(wordedFields, (field) => design[field].label),
  consent: design.consent.label,
  button: design.button,
  coupon: design.coupon.text,
  thanksHeading: design.thanks.heading,
  thanksText: design.thanks.text,
  linkWords: design.thanks.link.words,
  closed: design.closed,
})

function withTexts(design: FormDesign, texts: Record<TextKey, string>): FormDesign {
  return {
    ...design,
    heading: texts.heading,
    picture: { ...design.picture, alt: texts.pictureAlt },
    ...(Object.fromEntries(
      wordedFields.map((field) => [field, { ...design[field], label: texts[field] }]),
    ) as Pick<FormDesign, WordedField>),
    consent: { label: texts.consent },
    button: texts.button,
    coupon: { ...design.coupon, text: texts.coupon },
    thanks: {
      ...design.thanks,
      heading: texts.thanksHeading,
      text: texts.thanksText,
      link: { ...design.thanks.link, words: texts.linkWords },
    },
    closed: texts.closed,
  }
}

const filled = (texts: Texts): Texts =>
  Object.fromEntries(Object.entries(texts).filter(([, text]) => text !== ''))

/**
 * A design as its readers in a language get it: what is not translated stays. The options of questions stay as they
 * are stored, with their words beside them.
 */
export function designIn(design: FormDesign, language: CustomerLanguage): ShownDesign {
  const translation = design.translations[language]
  const plain = { ...design, translations: {} }
  if (!translation) return plain
  return {
    ...withTexts(plain, { ...textsOf(design), ...filled(translation.texts) }),
    intro: translation.intro.length > 0 ? translation.intro : design.intro,
    questions: design.questions.map((question) => {
      const own = translation.questions[question.id] ?? {}
      const said = own.options ?? []
      const words = question.options.map((option, i): [string, string] => [
        option.trim(),
        said[i]?.trim() || option,
      ])
      return {
        ...question,
        label: own.label || question.label,
        hint: own.hint || question.hint,
        low: own.low || question.low,
        high: own.high || question.high,
        words: Object.fromEntries(words),
      }
    }),
  }
}

/** A design for editing its texts in a language: the options of questions are those of the language. */
export function editedIn(design: FormDesign, language: CustomerLanguage): FormDesign {
  const shown = designIn(design, language)
  return {
    ...shown,
    translations: design.translations,
    questions: shown.questions.map(({ words = {}, ...question }) => ({
      ...question,
      options: question.options.map((option) => words[option.trim()] ?? option),
    })),
  }
}

/**
 * A design after a change of `editedIn`: changed texts become translations, everything else is as changed. A text that
 * is emptied is again that of all languages.
 */
export function withEdited(design: FormDesign, language: CustomerLanguage, changed: FormDesign): FormDesign {
  const before = editedIn(design, language)
  const translation: Translation = design.translations[language] ?? { texts: {}, intro: [], questions: {} }
  const [earlier, now] = [textsOf(before), textsOf(changed)]
  const texts: Texts = { ...translation.texts }
  for (const key of Object.keys(now) as TextKey[]) if (now[key] !== earlier[key]) texts[key] = now[key]
  const questions = { ...translation.questions }
  const kept = changed.questions.map((question) => {
    const base = design.questions.find(({ id }) => id === question.id)
    const shown = before.questions.find(({ id }) => id === question.id)
    if (!base || !shown) return question
    const own = { ...questions[question.id] }
    for (const part of ['label', 'hint', 'low', 'high'] as const)
      if (question[part] !== shown[part]) own[part] = question[part]
    if (JSON.stringify(question.options) !== JSON.stringify(shown.options))
      own.options = base.options.map((_, i) => question.options[i] ?? '')
    if (Object.keys(own).length > 0) questions[question.id] = own
    const { label, hint, low, high, options } = base
    return { ...question, label, hint, low, high, options }
  })
  const introChanged = JSON.stringify(changed.intro) !== JSON.stringify(before.intro)
  return {
    ...withTexts(changed, textsOf(design)),
    intro: design.intro,
    questions: kept,
    translations: {
      ...design.translations,
      [language]: { texts, intro: introChanged ? changed.intro : translation.intro, questions },
    },
  }
}
