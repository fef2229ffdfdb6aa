import type { CustomerMessages } from '../customerMessages'

export const problem: CustomerMessages['problem'] = {
  title: 'No ha funcionado',
  notFound: 'No hay nada en esta dirección',
  notFoundHint: 'Quizá la página se haya movido o el enlace esté incompleto.',
  unexpected:
    'Algo ha fallado por nuestra parte. No se pierde nada de lo que guardó. Inténtelo de nuevo en un momento.',
  foreign: 'Esto vino de otro sitio. Recargue la página e inténtelo de nuevo.',
  tooLarge: 'Es demasiado grande.',
  busy: 'Están llegando muchos archivos grandes. Inténtelo de nuevo en un momento.',
  wrongType: 'Envíelo como formulario: urlencoded o multipart.',
  malformed: 'No se entiende esta petición.',
  method: 'Esta dirección no acepta ese tipo de petición.',
  longField: 'Uno de los campos es demasiado largo. Acorte el texto y envíe el formulario de nuevo.',
  tooManyFields: 'Este formulario tiene demasiados campos.',
  fieldName: 'El nombre de un campo de este formulario es demasiado largo.',
  broken: 'Este formulario llegó incompleto. Envíelo de nuevo.',
  tooSlow: 'Ha tardado demasiado en llegar. Inténtelo con una conexión más rápida.',
  notSavedTitle: 'No se puede guardar nada en este momento',
  notSaved: 'No se pudo guardar. Lo que escribió sigue aquí. Inténtelo de nuevo en unos minutos.',
  wait_one: 'Han sido muchos intentos. Inténtelo de nuevo en un minuto.',
  wait_other: 'Han sido muchos intentos. Inténtelo de nuevo en {{count}} minutos.',
}
