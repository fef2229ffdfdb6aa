import type { CustomerMessages } from '../customerMessages'

export const problem: CustomerMessages['problem'] = {
  title: 'Cela n’a pas fonctionné',
  notFound: 'Il n’y a rien à cette adresse',
  notFoundHint: 'La page a peut-être été déplacée, ou le lien est incomplet.',
  unexpected:
    'Un problème est survenu de notre côté. Rien de ce que vous avez enregistré n’est perdu. Réessayez dans un instant.',
  foreign: 'Cette demande vient d’un autre site. Rechargez la page et réessayez.',
  tooLarge: 'C’est trop volumineux.',
  busy: 'Beaucoup de gros fichiers arrivent en ce moment. Réessayez dans un instant.',
  wrongType: 'Envoyez un formulaire : urlencoded ou multipart.',
  malformed: 'Cette demande est incompréhensible.',
  method: 'Cette adresse n’accepte pas ce type de demande.',
  longField:
    'L’un des champs est beaucoup trop long. Raccourcissez le texte et envoyez le formulaire de nouveau.',
  tooManyFields: 'Ce formulaire a trop de champs.',
  fieldName: 'Le nom d’un champ de ce formulaire est trop long.',
  broken: 'Ce formulaire est arrivé incomplet. Envoyez-le de nouveau.',
  tooSlow: 'L’envoi a pris trop de temps. Réessayez avec une connexion plus rapide.',
  notSavedTitle: 'Rien ne peut être enregistré pour le moment',
  notSaved:
    'L’enregistrement a échoué. Ce que vous avez saisi est toujours là. Réessayez dans quelques minutes.',
  wait_one: 'Cela fait beaucoup d’essais. Réessayez dans une minute.',
  wait_other: 'Cela fait beaucoup d’essais. Réessayez dans {{count}} minutes.',
}
