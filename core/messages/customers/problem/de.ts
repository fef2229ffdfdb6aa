import type { CustomerMessages } from '../customerMessages'

export const problem: CustomerMessages['problem'] = {
  title: 'Das hat nicht geklappt',
  notFound: 'Unter dieser Adresse gibt es nichts',
  notFoundHint: 'Vielleicht wurde die Seite verschoben, oder der Link ist unvollständig.',
  unexpected:
    'Bei uns ist etwas schiefgegangen. Was Sie gespeichert haben, ist noch da. Bitte versuchen Sie es gleich noch einmal.',
  foreign: 'Das kam von einer anderen Website. Laden Sie die Seite neu und versuchen Sie es noch einmal.',
  tooLarge: 'Das ist zu groß.',
  busy: 'Gerade kommen viele große Dateien an. Bitte versuchen Sie es gleich noch einmal.',
  wrongType: 'Senden Sie es als Formular: urlencoded oder multipart.',
  malformed: 'Diese Anfrage ist nicht zu verstehen.',
  method: 'Diese Adresse nimmt solche Anfragen nicht an.',
  longField:
    'Eines der Felder ist viel zu lang. Kürzen Sie den Text, und senden Sie das Formular noch einmal.',
  tooManyFields: 'Dieses Formular hat zu viele Felder.',
  fieldName: 'Der Name eines Feldes in diesem Formular ist zu lang.',
  broken: 'Dieses Formular kam unvollständig an. Bitte senden Sie es noch einmal.',
  tooSlow: 'Das hat zu lange gedauert. Bitte versuchen Sie es mit einer schnelleren Verbindung.',
  notSavedTitle: 'Zurzeit kann nichts gespeichert werden',
  notSaved:
    'Das konnte nicht gespeichert werden. Was Sie eingegeben haben, ist noch da. Bitte versuchen Sie es in ein paar Minuten noch einmal.',
  wait_one: 'Das waren viele Versuche. Bitte versuchen Sie es in einer Minute noch einmal.',
  wait_other: 'Das waren viele Versuche. Bitte versuchen Sie es in {{count}} Minuten noch einmal.',
}
