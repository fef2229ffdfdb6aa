import type { CustomerMessages } from '../customerMessages'

export const policy: CustomerMessages['policy'] = {
  title: 'Cómo se tratan las reseñas',
  who: 'Quién escribe reseñas',
  writers: {
    anyone:
      'Cualquiera puede escribir una reseña con el formulario de {{shop}}, con un nombre y una dirección de correo que nunca se muestra.',
    confirmed:
      'Cualquiera puede escribir una reseña con el formulario de {{shop}}, con un nombre y una dirección de correo que nunca se muestra. {{shop}} ve la reseña cuando la dirección se ha confirmado con un botón en un correo.',
    buyers:
      'Solo los compradores verificados pueden escribir una reseña con el formulario de {{shop}}. Lo que envían otros se retiene.',
  },
  bought:
    '«Comprado aquí» aparece solo junto a una reseña cuyo autor confirmó la dirección de correo de un pedido, o dio un número de pedido y el nombre que le corresponde. El pedido ya se había entregado.',
  unproven: 'Una reseña sin esa indicación también puede ser de un cliente; simplemente no hay prueba.',
  deciding: 'Cómo decidimos',
  read: '{{shop}} lee cada reseña enviada antes de mostrarla.',
  rules:
    'Cada reseña recibe una puntuación de spam de 0 a 100. Tiene en cuenta enlaces, redacción, letras disfrazadas, reseñas casi iguales, quién la envió y con qué rapidez, y grupos repentinos de reseñas que se parecen demasiado. A partir de {{held}} se retiene para mirarla con más atención; a partir de {{spam}} se aparta como spam. Los teléfonos, otros datos personales y los insultos también la retienen.',
  same: 'Las reglas son iguales para las valoraciones buenas y malas. Una valoración baja nunca es motivo por sí sola.',
  elsewhere_one:
    'Otra reseña se publicó en {{sites}} y viene de allí. Lo indica, no cuenta aquí en la media y su texto se revisó como todos; puede aparecer antes de que {{shop}} la haya leído.',
  elsewhere_other:
    'Otras {{count}} reseñas se publicaron en {{sites}} y vienen de allí. Lo indican, no cuentan aquí en la media y su texto se revisó como todos; pueden aparecer antes de que {{shop}} las haya leído.',
  unaltered: 'El texto se muestra tal como llegó, entero o con «Leer más» tras el comienzo.',
  count: {
    received: 'recibidas hasta ahora',
    approved: 'aprobadas',
    undecided: 'pendientes de decisión',
    declined: 'rechazadas',
    spam: 'spam',
  },
  average: 'La media',
  averageOf:
    'Es {{average}}, de las {{count}} reseñas aprobadas con valoración de clientes, sean cuales sean las que muestra una página.',
  noAverage: 'Aún no hay media, porque no hay ninguna reseña aprobada con valoración de clientes.',
  uncounted_one:
    '{{count}} reseña aprobada no tiene valoración o fue transcrita por la tienda para un cliente. Así se indica, y no entra en la media.',
  uncounted_other:
    '{{count}} reseñas aprobadas no tienen valoración o fueron transcritas por la tienda para clientes. Así se indica, y no entran en la media.',
  scope: 'Junto a un producto es la media de las reseñas de ese producto.',
  shown: 'Qué reseñas muestra una página',
  shownWhy: 'Una página que muestra solo una parte dice que {{shop}} las eligió, y entre cuántas.',
  selectedBy: 'Estas presentaciones eligen según:',
  selects: {
    ratings: 'la valoración: {{ratings}}',
    tags: 'el tema: {{tags}}',
    sources: 'cómo llegó la reseña',
    languages: 'el idioma: {{languages}}',
    verifiedOnly: 'solo compras verificadas',
    withWords: 'solo reseñas con texto',
    withPhotos: 'solo reseñas con foto',
    written: 'la fecha en que se escribieron',
    leftOut: 'algunas descartadas a mano',
    pins: 'algunas puestas delante a mano',
    balanced:
      'una selección equilibrada: cada nota según su proporción, con distintos productos, temas, extensiones y fechas',
    lowest: 'primero las peores valoraciones',
    highest: 'primero las mejores valoraciones',
    verified: 'primero las compras verificadas',
    hand: 'un orden hecho a mano',
  },
  write: 'Escribir una reseña',
}
