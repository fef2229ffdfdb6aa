import type { CustomerMessages } from '../customerMessages'

export const policy: CustomerMessages['policy'] = {
  title: 'So gehen wir mit Bewertungen um',
  who: 'Wer Bewertungen schreibt',
  writers: {
    anyone:
      'Jeder kann über das Formular von {{shop}} eine Bewertung schreiben, mit einem Namen und einer E-Mail-Adresse, die nie angezeigt wird.',
    confirmed:
      'Jeder kann über das Formular von {{shop}} eine Bewertung schreiben, mit einem Namen und einer E-Mail-Adresse, die nie angezeigt wird. {{shop}} sieht die Bewertung, sobald die Adresse über eine Schaltfläche in einer E-Mail bestätigt ist.',
    buyers:
      'Über das Formular von {{shop}} können nur bestätigte Käufer eine Bewertung schreiben. Was andere senden, wird zurückgehalten.',
  },
  bought:
    '„Hier gekauft“ steht nur neben einer Bewertung, wenn die E-Mail-Adresse einer Bestellung bestätigt oder eine Bestellnummer mit dem passenden Namen angegeben wurde. Die Bestellung war da schon geliefert.',
  unproven:
    'Auch eine Bewertung ohne diesen Hinweis kann von einem Kunden sein; es gibt nur keinen Nachweis.',
  deciding: 'So entscheiden wir',
  read: '{{shop}} liest jede eingesandte Bewertung, bevor sie erscheint.',
  rules:
    'Jede Bewertung erhält einen Spam-Wert von 0 bis 100. Er berücksichtigt Links, Wortwahl, verfremdete Buchstaben, fast gleiche Bewertungen, wer sie wie schnell gesendet hat und ob plötzlich viele kommen, die sich zu sehr ähneln. Ab {{held}} wird eine Bewertung zurückgehalten und genauer angesehen, ab {{spam}} gilt sie als Spam. Auch Telefonnummern, andere persönliche Daten und Beleidigungen halten sie zurück.',
  same: 'Für gute und schlechte Bewertungen gelten dieselben Regeln. Wenige Sterne allein sind nie ein Grund.',
  elsewhere_one:
    'Eine weitere Bewertung wurde auf {{sites}} veröffentlicht und kommt von dort. Das steht dabei, sie zählt hier nicht zum Durchschnitt, und ihr Text wurde geprüft wie jeder andere; sie kann erscheinen, bevor {{shop}} sie gelesen hat.',
  elsewhere_other:
    '{{count}} weitere Bewertungen wurden auf {{sites}} veröffentlicht und kommen von dort. Das steht dabei, sie zählen hier nicht zum Durchschnitt, und ihr Text wurde geprüft wie jeder andere; sie können erscheinen, bevor {{shop}} sie gelesen hat.',
  unaltered: 'Der Text erscheint so, wie er kam, ganz oder mit „Weiterlesen“ nach dem ersten Teil.',
  count: {
    received: 'bisher erhalten',
    approved: 'freigegeben',
    undecided: 'noch nicht entschieden',
    declined: 'abgelehnt',
    spam: 'Spam',
  },
  average: 'Der Durchschnitt',
  averageOf:
    'Er ist {{average}}, aus allen {{count}} freigegebenen Bewertungen mit Sternen von Kunden, ganz gleich, welche davon eine Seite zeigt.',
  noAverage:
    'Es gibt noch keinen Durchschnitt, weil noch keine Bewertung mit Sternen von Kunden freigegeben ist.',
  uncounted_one:
    '{{count}} freigegebene Bewertung hat keine Sterne oder wurde vom Geschäft für einen Kunden notiert. Das steht dabei, und sie zählt nicht zum Durchschnitt.',
  uncounted_other:
    '{{count}} freigegebene Bewertungen haben keine Sterne oder wurden vom Geschäft für Kunden notiert. Das steht dabei, und sie zählen nicht zum Durchschnitt.',
  scope: 'Neben einem Produkt steht der Durchschnitt der Bewertungen dieses Produkts.',
  shown: 'Welche Bewertungen eine Seite zeigt',
  shownWhy: 'Zeigt eine Seite nur einen Teil, sagt sie, dass {{shop}} ihn ausgewählt hat und aus wie vielen.',
  selectedBy: 'Diese Anzeigen wählen aus nach:',
  selects: {
    ratings: 'Sternen: {{ratings}}',
    tags: 'Thema: {{tags}}',
    sources: 'dem Weg, auf dem die Bewertung kam',
    languages: 'Sprache: {{languages}}',
    verifiedOnly: 'nur bestätigte Käufe',
    withWords: 'nur Bewertungen mit Text',
    withPhotos: 'nur Bewertungen mit Foto',
    written: 'dem Tag, an dem sie geschrieben wurden',
    leftOut: 'einzelne von Hand weggelassen',
    pins: 'einzelne von Hand nach vorn gesetzt',
    balanced:
      'eine ausgewogene Auswahl: jede Note nach ihrem Anteil, dazu verschiedene Produkte, Themen, Längen und Zeiten',
    lowest: 'schlechteste Bewertungen zuerst',
    highest: 'beste Bewertungen zuerst',
    verified: 'bestätigte Käufe zuerst',
    hand: 'einer Reihenfolge von Hand',
  },
  write: 'Bewertung schreiben',
}
