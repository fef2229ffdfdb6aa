import type { CustomerMessages } from '../customerMessages'

export const policy: CustomerMessages['policy'] = {
  title: 'Comment les avis sont traités',
  who: 'Qui écrit les avis',
  writers: {
    anyone:
      'Tout le monde peut écrire un avis avec le formulaire de {{shop}}, en donnant un nom et une adresse e-mail qui n’est jamais affichée.',
    confirmed:
      'Tout le monde peut écrire un avis avec le formulaire de {{shop}}, en donnant un nom et une adresse e-mail qui n’est jamais affichée. {{shop}} voit l’avis une fois l’adresse confirmée avec un bouton dans un e-mail.',
    buyers:
      'Seuls les acheteurs vérifiés peuvent écrire un avis avec le formulaire de {{shop}}. Les autres envois sont retenus.',
  },
  bought:
    '« Acheté ici » n’apparaît qu’à côté d’un avis dont l’auteur a confirmé l’adresse e-mail d’une commande, ou donné un numéro de commande et le nom correspondant. La commande avait alors été livrée.',
  unproven: 'Un avis sans cette mention peut aussi venir d’un client ; il n’y a simplement pas de preuve.',
  deciding: 'Comment nous décidons',
  read: '{{shop}} lit chaque avis envoyé avant de l’afficher.',
  rules:
    'Chaque avis reçoit un score de spam de 0 à 100. Il tient compte des liens, de la formulation, des lettres déguisées, des avis presque identiques, de la personne qui l’envoie et de sa rapidité, et des arrivées soudaines d’avis qui se ressemblent trop. À partir de {{held}}, l’avis est retenu pour être examiné ; à partir de {{spam}}, il est mis de côté comme spam. Les numéros de téléphone, les autres données personnelles et les insultes le retiennent aussi.',
  same: 'Les règles sont les mêmes pour les bonnes et les mauvaises notes. Une note basse n’est jamais une raison à elle seule.',
  elsewhere_one:
    'Un autre avis a été publié sur {{sites}} et en provient. C’est indiqué, il ne compte pas ici dans la moyenne et son texte a été vérifié comme tous les autres ; il peut apparaître avant que {{shop}} l’ait lu.',
  elsewhere_other:
    '{{count}} autres avis ont été publiés sur {{sites}} et en proviennent. C’est indiqué, ils ne comptent pas ici dans la moyenne et leur texte a été vérifié comme tous les autres ; ils peuvent apparaître avant que {{shop}} les ait lus.',
  unaltered:
    'Le texte est affiché tel qu’il a été envoyé, en entier ou avec « Lire la suite » après le début.',
  count: {
    received: 'reçus jusqu’ici',
    approved: 'approuvés',
    undecided: 'en attente de décision',
    declined: 'refusés',
    spam: 'spam',
  },
  average: 'La moyenne',
  averageOf:
    'Elle est de {{average}}, sur les {{count}} avis approuvés avec une note de client, quels que soient ceux qu’une page affiche.',
  noAverage: 'Il n’y a pas encore de moyenne, car aucun avis avec une note de client n’est approuvé.',
  uncounted_one:
    '{{count}} avis approuvé n’a pas de note ou a été recueilli par la boutique pour un client. C’est indiqué, et il n’entre pas dans la moyenne.',
  uncounted_other:
    '{{count}} avis approuvés n’ont pas de note ou ont été recueillis par la boutique pour des clients. C’est indiqué, et ils n’entrent pas dans la moyenne.',
  scope: 'À côté d’un produit, c’est la moyenne des avis sur ce produit.',
  shown: 'Quels avis une page affiche',
  shownWhy: 'Une page qui n’en affiche qu’une partie indique que {{shop}} les a choisis, et parmi combien.',
  selectedBy: 'Ces affichages choisissent selon :',
  selects: {
    ratings: 'la note : {{ratings}}',
    tags: 'le thème : {{tags}}',
    sources: 'la façon dont l’avis est arrivé',
    languages: 'la langue : {{languages}}',
    verifiedOnly: 'les achats vérifiés seulement',
    withWords: 'les avis avec du texte seulement',
    withPhotos: 'les avis avec photo seulement',
    written: 'la date à laquelle ils ont été écrits',
    leftOut: 'certains avis écartés à la main',
    pins: 'certains avis placés en tête à la main',
    balanced:
      'une sélection équilibrée : chaque note selon sa part, avec des produits, des thèmes, des longueurs et des dates variés',
    lowest: 'les moins bonnes notes d’abord',
    highest: 'les meilleures notes d’abord',
    verified: 'les achats vérifiés d’abord',
    hand: 'un ordre établi à la main',
  },
  write: 'Écrire un avis',
}
