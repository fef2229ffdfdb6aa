import type { MailWords } from './en'

export const es: MailWords = {
  confirmSubject: '¿Es suya esta reseña de {{shop}}?',
  hello: 'Hola, {{name}}:',
  helloNobody: 'Hola:',
  confirmIntro:
    'Alguien escribió una reseña de {{shop}} y dio su dirección de correo. Si fue usted, confírmelo, por favor.',
  confirmButton: 'Ver y confirmar',
  confirmWhy:
    'Así {{shop}} sabe que el buzón es suyo. No se muestra a nadie y no recibirá ningún otro correo por ello.',
  confirmNot: 'Si no fue usted, no haga nada: no queda confirmado y el enlace caduca en {{days}} días.',
  askSubject: '{{shop}} apuntó lo que usted dijo. ¿Es correcto?',
  askIntro: '{{shop}} apuntó esto como sus palabras y quisiera mostrarlo como suyo.',
  askButton: 'Ver y confirmar',
  askNot: 'Si prefiere que no, no haga nada, o dígalo en esa página.',
  rated: 'Valoración: {{rating}} de 5',
}
