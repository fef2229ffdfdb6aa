import { createContext, useContext, useMemo } from 'react'
import { useRouteLoaderData } from 'react-router'
import { translateCode } from '../../core/messages/code'
import type { CustomerLanguage } from '../../core/messages/customers/languages'
import type { CustomerMessages, CustomerTranslate } from '../../core/messages/customers/customerMessages'
import { buildTranslate } from '../../core/messages/translate'

/**
 * The language of a customer's page. Its texts are part of the page, so that no browser loads five languages.
 */
export interface Speech {
  language: CustomerLanguage
  messages: CustomerMessages
}

/** The texts of a page that failed or that no shop is known for. */
export interface ProblemSpeech {
  language: CustomerLanguage
  messages: Pick<CustomerMessages, 'problem' | 'confirm'>
}

export type ProblemTranslate = CustomerTranslate<'problem' | 'confirm'>

export function useSpeech({ language, messages }: Speech): CustomerTranslate {
  return useMemo(() => buildTranslate(language, messages) as CustomerTranslate, [language, messages])
}

export const TranslateContext = createContext<CustomerTranslate | null>(null)

/** @throws outside a customer's page, which has no texts for customers */
export function useTranslate(): CustomerTranslate {
  const translate = useContext(TranslateContext)
  if (!translate) throw new Error('no texts for customers on this page')
  return translate
}

/** The texts of problems in the language of the request; null if the page is not a customer's. */
export function useProblemTranslate(): ProblemTranslate | null {
  const root = useRouteLoaderData('root') as { problemSpeech: ProblemSpeech | null } | undefined
  const speech = root?.problemSpeech
  return useMemo(
    () => (speech ? (buildTranslate(speech.language, speech.messages) as ProblemTranslate) : null),
    [speech],
  )
}

export function useCodes(): (code: string) => string {
  const translate = useTranslate()
  return (code) => translateCode(translate, code)
}
