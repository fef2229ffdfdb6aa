import type { CustomerMessages } from '../customerMessages'

export const policy: CustomerMessages['policy'] = {
  title: 'Come vengono trattate le recensioni',
  who: 'Chi scrive le recensioni',
  writers: {
    anyone:
      'Chiunque può scrivere una recensione con il modulo di {{shop}}, indicando un nome e un indirizzo e-mail che non viene mai mostrato.',
    confirmed:
      'Chiunque può scrivere una recensione con il modulo di {{shop}}, indicando un nome e un indirizzo e-mail che non viene mai mostrato. {{shop}} vede la recensione quando l’indirizzo è confermato con un pulsante in un’e-mail.',
    buyers:
      'Solo gli acquirenti verificati possono scrivere una recensione con il modulo di {{shop}}. Ciò che inviano altri viene trattenuto.',
  },
  bought:
    '«Acquistato qui» appare solo accanto a una recensione il cui autore ha confermato l’indirizzo e-mail di un ordine, oppure ha indicato un numero d’ordine e il nome corrispondente. L’ordine era già stato consegnato.',
  unproven:
    'Anche una recensione senza questa indicazione può essere di un cliente; semplicemente non c’è una prova.',
  deciding: 'Come decidiamo',
  read: '{{shop}} legge ogni recensione inviata prima che venga mostrata.',
  rules:
    'Ogni recensione riceve un punteggio di spam da 0 a 100. Considera link, parole, lettere camuffate, recensioni quasi uguali, chi l’ha inviata e con quale rapidità, e gruppi improvvisi di recensioni che si somigliano troppo. Da {{held}} viene trattenuta per guardarla meglio; da {{spam}} viene messa da parte come spam. La trattengono anche numeri di telefono, altri dati personali e insulti.',
  same: 'Le regole sono le stesse per voti buoni e cattivi. Un voto basso da solo non è mai un motivo.',
  elsewhere_one:
    'Un’altra recensione è stata pubblicata su {{sites}} e arriva da lì. È indicato, qui non conta nella media e il suo testo è stato controllato come tutti; può apparire prima che {{shop}} l’abbia letta.',
  elsewhere_other:
    'Altre {{count}} recensioni sono state pubblicate su {{sites}} e arrivano da lì. È indicato, qui non contano nella media e il loro testo è stato controllato come tutti; possono apparire prima che {{shop}} le abbia lette.',
  unaltered: 'Il testo appare così com’è arrivato, intero o con «Continua a leggere» dopo l’inizio.',
  count: {
    received: 'ricevute finora',
    approved: 'approvate',
    undecided: 'in attesa di decisione',
    declined: 'rifiutate',
    spam: 'spam',
  },
  average: 'La media',
  averageOf:
    'È {{average}}, da tutte le {{count}} recensioni approvate con un voto di clienti, qualunque di esse mostri una pagina.',
  noAverage: 'Non c’è ancora una media, perché nessuna recensione con un voto di clienti è approvata.',
  uncounted_one:
    '{{count}} recensione approvata non ha voto o è stata annotata dal negozio per un cliente. È indicato, e non entra nella media.',
  uncounted_other:
    '{{count}} recensioni approvate non hanno voto o sono state annotate dal negozio per clienti. È indicato, e non entrano nella media.',
  scope: 'Accanto a un prodotto c’è la media delle recensioni di quel prodotto.',
  shown: 'Quali recensioni mostra una pagina',
  shownWhy: 'Una pagina che ne mostra solo una parte dice che {{shop}} le ha scelte, e tra quante.',
  selectedBy: 'Queste presentazioni scelgono in base a:',
  selects: {
    ratings: 'voto: {{ratings}}',
    tags: 'tema: {{tags}}',
    sources: 'come è arrivata la recensione',
    languages: 'lingua: {{languages}}',
    verifiedOnly: 'solo acquisti verificati',
    withWords: 'solo recensioni con testo',
    withPhotos: 'solo recensioni con foto',
    written: 'la data in cui sono state scritte',
    leftOut: 'alcune escluse a mano',
    pins: 'alcune messe in testa a mano',
    balanced:
      'una selezione equilibrata: ogni voto secondo la sua quota, con prodotti, temi, lunghezze e date diversi',
    lowest: 'prima i voti più bassi',
    highest: 'prima i voti più alti',
    verified: 'prima gli acquisti verificati',
    hand: 'un ordine fatto a mano',
  },
  write: 'Scrivi una recensione',
}
