import type { MailWords } from './en'

export const de: MailWords = {
  confirmSubject: 'Ist das Ihre Bewertung von {{shop}}?',
  hello: 'Guten Tag {{name}},',
  helloNobody: 'Guten Tag,',
  confirmIntro:
    'Jemand hat eine Bewertung von {{shop}} geschrieben und Ihre E-Mail-Adresse angegeben. Wenn Sie es waren, bestätigen Sie es bitte.',
  confirmButton: 'Ansehen und bestätigen',
  confirmWhy:
    'Damit weiß {{shop}}, dass das Postfach Ihres ist. Es wird niemandem gezeigt, und es folgen keine weiteren Mails.',
  confirmNot:
    'Wenn Sie es nicht waren, tun Sie nichts: Es gilt nicht als bestätigt, und der Link endet in {{days}} Tagen.',
  askSubject: '{{shop}} hat aufgeschrieben, was Sie gesagt haben. Stimmt es?',
  askIntro: '{{shop}} hat das als Ihre Worte aufgeschrieben und möchte es als Ihre eigenen zeigen.',
  askButton: 'Ansehen und bestätigen',
  askNot: 'Wenn Sie das nicht möchten, tun Sie nichts, oder sagen Sie es auf der Seite.',
  rated: 'Bewertet mit {{rating}} von 5',
}
