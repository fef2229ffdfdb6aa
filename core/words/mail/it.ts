import type { MailWords } from './en'

export const it: MailWords = {
  confirmSubject: 'È Sua questa recensione di {{shop}}?',
  hello: 'Buongiorno {{name}},',
  helloNobody: 'Buongiorno,',
  confirmIntro:
    'Qualcuno ha scritto una recensione di {{shop}} indicando il Suo indirizzo e-mail. Se è stato Lei, la confermi, per favore.',
  confirmButton: 'Guarda e conferma',
  confirmWhy:
    'Così {{shop}} sa che la casella è Sua. Non viene mostrata a nessuno e non arriveranno altre mail.',
  confirmNot:
    'Se non è stato Lei, non faccia nulla: non risulta confermata e il link scade tra {{days}} giorni.',
  askSubject: '{{shop}} ha annotato ciò che ha detto. È giusto?',
  askIntro: '{{shop}} ha annotato questo come parole Sue e vorrebbe mostrarlo come Suo.',
  askButton: 'Guarda e conferma',
  askNot: 'Se preferisce di no, non faccia nulla, o lo dica in quella pagina.',
  rated: 'Voto: {{rating}} su 5',
}
