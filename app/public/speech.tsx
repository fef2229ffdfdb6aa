import { createContext, useContext, useMemo } from 'react'
import { useRouteLoaderData } from 'react-router'
import { translateCode } from '../../core/messages/code'
import type { CustomerLanguage } from '../../core/messages/customers/languages'
import type { CustomerMessages, CustomerTranslate } from '../../core/messages/customers/customerMessages'
import { say } from '../../core/messages/say'
import { buildTranslate } from '../../core/messages/translate'

/** The language of a customer's page and its texts; they come with the page, so that no browser loads five languages. */
export interface Speech {
  language: CustomerLanguage
  messages: CustomerMessages
}

/** The texts of a page that no shop is known for. */
export interface ProblemSpeech {
  language: CustomerLanguage
  messages: Pick<CustomerMessages, 'problem' | 'confirm'>
}

export function useSpeech({ language, messages }: Speech): CustomerTranslate {
  return useMemo(() => buildTranslate(language, messages) as CustomerTranslate, [language, messages])
}

/** Components that customers and the people of a shop both see speak English unless a page says otherwise. */
export const TranslateContext = createContext<CustomerTranslate>(say)

export const useTranslate = (): CustomerTranslate => useContext(TranslateContext)

/** For pages that no shop is known for: the texts of problems, in the language of the request. */
export function useRequestTranslate(): CustomerTranslate {
  const root = useRouteLoaderData('root') as { problemSpeech: ProblemSpeech | null } | undefined
  const speech = root?.problemSpeech
  return useMemo(
    () => (speech ? (buildTranslate(speech.language, speech.messages) as CustomerTranslate) : say),
    [speech],
  )
}

/** Words the codes of errors. */
export function useCodes(): (code: string) => string {
  const translate = useTranslate()
  return (code) => translateCode(translate, code)
}
