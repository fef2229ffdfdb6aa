/** What a customer reads in a mail. */
export const en = {
  confirmSubject: 'Is this your review of {{shop}}?',
  hello: 'Hello {{name}},',
  helloNobody: 'Hello,',
  confirmIntro:
    'Somebody wrote a review of {{shop}} and gave your email address. If it was you, please confirm it.',
  confirmButton: 'Look at it and confirm',
  confirmWhy:
    'Confirming shows {{shop}} that the mailbox is yours. It is never shown to anybody, and no other mail comes of it.',
  confirmNot:
    'If it was not you, do nothing: it is not shown as confirmed, and the link ends in {{days}} days.',
  askSubject: '{{shop}} wrote down what you said. Is it right?',
  askIntro: '{{shop}} wrote this down as what you said, and would like to show it as your own.',
  askButton: 'Look at it and confirm',
  askNot: 'If you would rather not, do nothing, or say so on that page.',
  rated: 'Rated {{rating}} of 5',
} as const

export type MailWords = Record<keyof typeof en, string>
