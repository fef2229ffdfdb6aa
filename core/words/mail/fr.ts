import type { MailWords } from './en'

export const fr: MailWords = {
  confirmSubject: 'Cet avis sur {{shop}} est-il de vous ?',
  hello: 'Bonjour {{name}},',
  helloNobody: 'Bonjour,',
  confirmIntro:
    'Quelqu’un a écrit un avis sur {{shop}} en donnant votre adresse. Si c’est vous, merci de le confirmer.',
  confirmButton: 'Voir et confirmer',
  confirmWhy:
    'Ainsi {{shop}} sait que cette adresse est la vôtre. Elle n’est montrée à personne et vous ne recevrez rien d’autre.',
  confirmNot:
    'Si ce n’est pas vous, ne faites rien : rien n’est confirmé, et le lien expire dans {{days}} jours.',
  askSubject: '{{shop}} a noté ce que vous avez dit. Est-ce juste ?',
  askIntro: '{{shop}} a noté ceci comme vos paroles et aimerait les montrer comme les vôtres.',
  askButton: 'Voir et confirmer',
  askNot: 'Si vous ne le souhaitez pas, ne faites rien, ou dites-le sur cette page.',
  rated: 'Note : {{rating}} sur 5',
}
