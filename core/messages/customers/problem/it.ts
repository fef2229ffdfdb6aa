import type { CustomerMessages } from '../customerMessages'

export const problem: CustomerMessages['problem'] = {
  title: 'Non ha funzionato',
  notFound: 'A questo indirizzo non c’è nulla',
  notFoundHint: 'Forse la pagina è stata spostata o il link è incompleto.',
  unexpected:
    'Qualcosa è andato storto da parte nostra. Quello che ha salvato non va perso. Riprovi tra un momento.',
  foreign: 'Questa richiesta viene da un altro sito. Ricarichi la pagina e riprovi.',
  tooLarge: 'È troppo grande.',
  busy: 'In questo momento arrivano molti file grandi. Riprovi tra poco.',
  wrongType: 'Lo invii come modulo: urlencoded o multipart.',
  malformed: 'Questa richiesta non è comprensibile.',
  method: 'Questo indirizzo non accetta questo tipo di richiesta.',
  longField: 'Uno dei campi è troppo lungo. Accorci il testo e invii di nuovo il modulo.',
  tooManyFields: 'Questo modulo ha troppi campi.',
  fieldName: 'Il nome di un campo di questo modulo è troppo lungo.',
  broken: 'Questo modulo è arrivato incompleto. Lo invii di nuovo.',
  tooSlow: 'Ci è voluto troppo tempo. Riprovi con una connessione più veloce.',
  notSavedTitle: 'Al momento non si può salvare nulla',
  notSaved: 'Non è stato possibile salvare. Quello che ha scritto è ancora qui. Riprovi tra qualche minuto.',
  wait_one: 'Sono stati molti tentativi. Riprovi tra un minuto.',
  wait_other: 'Sono stati molti tentativi. Riprovi tra {{count}} minuti.',
}
