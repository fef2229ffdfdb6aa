import type { ReviewStory } from '../story'

export const reviews: ReviewStory[] = [
  {
    came: 392, rating: 4, name: 'Ewa Krol', product: 'FD-W', order: 'WB-1702', took: 74,
    body: 'Feed arrived in the rain, box soaked, jars fine.', then: 'approve',
  },
  {
    came: 352, rating: 5, name: 'Marc Dressler', product: 'EX-4', order: 'wb 1204', took: 131,
    body: 'Die Schleuder läuft ruhig und lässt sich leicht reinigen. Nach zwei Ernten immer noch wie neu.',
    then: 'approve',
  },
  {
    came: 318, rating: 5, name: 'Hana Svoboda', product: 'ST-T', order: 'WB-1790', took: 38,
    body: 'Veil does not fog.', then: 'approve',
  },
  {
    came: 296, rating: 5, name: 'Kasia M.', product: 'GL-L', took: 3,
    body: 'nice gloves nice shop, more gloves at glovebarn.example', then: 'spam',
  },
  {
    came: 268, rating: 3, name: 'Lotte Vermeer', product: 'SM-L', order: 'WB-1851', took: 96,
    body: 'Good smoker; the bellows squeak.', then: 'approve',
  },
  {
    came: 244, rating: 5, name: 'Abeni Okafor-Lyle', product: 'HK-1', order: 'WB-1892', took: 152,
    body: 'Bought for my father, who is eighty and stubborn. He now talks about his queens at breakfast.',
    then: 'approve',
  },
  {
    came: 207, rating: 5, name: 'Ines Walcott', product: 'CR-BW', order: 'WB-1910', took: 210,
    title: 'Not afraid any more',
    body: 'The course took the fear out of my first inspection. I finally know what a healthy frame looks like.',
    then: 'approve',
  },
  {
    came: 198, rating: 1, name: 'H. Slade', product: 'CR-BW', order: 'WB-1918', took: 184,
    title: 'Two days of standing about',
    body: 'Twenty people round one hive is not a course. I saw the back of a tall man’s hat and heard about a third. They gave me my money back without an argument, so one mark for manners.',
    then: 'approve',
  },
  {
    came: 66, rating: 2, name: 'Mireia Puig', product: 'ST-C', order: 'WB-1956', took: 88,
    body: 'El traje del niño llegó con la cremallera rota y tardaron tres semanas en mandar otro. El segundo está bien.',
    then: 'approve',
  },
  {
    came: 166, rating: 1, name: 'Nobody Important', took: 51,
    body: 'You lot are crooks and your bees are rubbish and so is your van.', then: 'decline',
  },
  {
    came: 139, rating: 5, name: 'Annika Reuter', product: 'HK-2', order: 'WB-2017', took: 167,
    title: 'Passgenau',
    body: 'Alles sauber gesägt, nichts musste nachgearbeitet werden. Aufbau an einem Nachmittag, und der Plan war sogar verständlich.',
    then: 'approve',
  },
  {
    came: 120, rating: 5, name: 'Growth Guru', email: 'hello@rankrocket.example', took: 2,
    body: 'Love the shop! We put 5000 visitors on your page, see rankrocket.example and write to me today',
  },
  {
    came: 96, rating: 4, name: 'Siobhan Kerr', product: 'SM-L', order: 'WB-2044', took: 63,
    body: 'Stays lit through a whole inspection, which is more than I do. Mind the rim, it gets hot before the handle warns you.',
    then: 'approve',
  },
  {
    came: 84, rating: 5, name: 'Rosalía Benítez', product: 'HK-1', order: 'WB-2058', took: 120,
    body: 'La colmena encaja a la perfección y huele a madera de verdad. Mis abejas entraron el mismo día.',
    then: 'approve',
  },
  {
    came: 71, rating: 4, name: 'Percy Langdale', product: 'ST-C', order: 'WB-2072', took: 45,
    body: 'Grandson refuses to take it off, wore it to the dentist.', then: 'approve',
  },
  {
    came: 60, rating: 5, name: 'Jun Okabe', product: 'ST-T', order: 'WB-2003', took: 34,
    body: 'Suit fits tall people at last.', then: 'approve',
  },
  {
    came: 44, rating: 5, name: 'Deal Desk', email: 'desk@combclub.example', product: 'FR-50', took: 47,
    body: 'Members of combclub.example pay half for the same frames. Message me for an invite.', then: 'spam',
  },
  {
    came: 33, rating: 2, name: 'Kaspar Uhl', product: 'SM-L', order: 'WB-2133', took: 71, mayShow: false,
    body: 'Der Deckel klemmt seit der zweiten Woche. Bitte nicht veröffentlichen, ich wollte es Ihnen nur sagen.',
    then: 'approve',
  },
  {
    came: 26, rating: 1, name: 'Gerald Tinsley', product: 'NB-5', took: 58,
    body: 'Ordered a kettle. Got nothing of the sort. This is the wrong shop, isn’t it.', then: 'decline',
  },
  {
    came: 19, rating: 4, name: 'Maud Pellerin', product: 'HK-1', order: 'WB-2150', took: 140,
    title: 'Honest wood, thin instructions',
    body: 'Everything square and solid. Step seven of the sheet shows a screw that step two told me to throw away.\n\nI rang, a kind man laughed, and posted me a new sheet with an apology drawn in the margin.',
    then: 'approve',
  },
  {
    came: 8, rating: 5, name: 'Honey Hank', email: 'hank@quickcash.example', took: 4,
    body: 'I earn from home, ask me how!!! Contact me, I answer all day', odd: 'trap', then: 'spam',
  },
  {
    came: 5.1, rating: 5, name: 'Lucía Ferrándiz', product: 'ST-T', order: 'WB-2181', took: 93,
    body: 'Por fin un traje con las mangas largas. Ligero, se lava bien y el velo no se pega a la cara.',
  },
  {
    came: 3.2, rating: 4, name: 'Tomás Rial', product: 'CR-BW', order: 'WB-2106', took: 128,
    body: 'El curso fue muy claro y la comida, mejor. Si alguien quiere compartir coche la próxima vez, mi número es 07700 900417.',
  },
  {
    came: 2.4, rating: 5, name: 'Bram Holloway', product: 'FD-W', order: 'WB-2168', took: 41,
    body: 'Bees took it down in a week. Jars came back with them, figuratively.',
  },
  {
    came: 1.6, rating: 4, name: 'Dorothea Hahn', product: 'EX-4', order: 'WB-2226', took: 55,
    body: 'Noch nicht ausgepackt, aber der Versand wurde schnell bestätigt und die Nachricht war freundlich.',
  },
  {
    came: 1.1, rating: 3, name: 'Feedback Service', email: 'post@formbot.example', product: 'HK-2', took: 40,
    body: 'Product as described. Delivery as described. Shop as described.', odd: 'noToken',
  },
  {
    came: 0.36, rating: 2, name: 'Edith Fallow', product: 'GL-L', order: 'WB-2119', took: 77,
    title: 'Two left hands',
    body: 'Lovely leather. Both gloves are for the left hand. I have written twice and my right hand is still waiting.',
  },
  {
    came: 0.2, rating: 5, name: 'Wren Castell', product: 'HK-2', order: 'WB-2214', took: 109,
    body: 'Built it with my daughter on the kitchen floor. She named every frame, so now we cannot take the honey.',
  },
  {
    came: 0.12, rating: 1, name: 'Orla Fenn', product: 'FR-50', order: 'WB-2207', took: 83,
    body: 'Two frames arrived split and nobody picks up the phone. My order is WB-2207 if anyone at Wrenfield reads this.',
  },
  {
    came: 0.05, rating: 5, name: 'Tess B.', email: 'tess@hivedeals.example', product: 'SM-L', took: 64,
    body: 'best smoker ever!!! i get mine cheaper at hivedeals.example/deal77 tho, use code BUZZ and message me for more',
  },
]
