import { designSchema } from '../../core/form/design'
import type { FormStory } from '../story'

/** Forms beside the first one: for bee clubs and companies, and one that is still a draft. */
export const moreForms: FormStory[] = [
  {
    slug: 'clubs',
    name: 'Clubs and companies',
    state: 'open',
    design: designSchema.parse({
      schema: 1,
      heading: 'You order for more than yourself',
      intro: 'Four questions, two minutes. We read every answer on the same day.',
      colour: '#1f5f8b',
      orderNumber: { shown: false },
      title: { shown: false },
      photos: { most: 2 },
      body: { label: 'What should others know before they order?', required: true, least: 20 },
      questions: [
        {
          id: 'clubhives',
          kind: 'one',
          label: 'How many hives do you look after?',
          options: ['up to 10', '11 to 50', 'more'],
          public: true,
        },
        {
          id: 'clubneeds',
          kind: 'several',
          label: 'What do you order?',
          options: ['Hives', 'Suits', 'Feed', 'Courses'],
          public: true,
        },
        {
          id: 'clubeasy',
          kind: 'scale',
          label: 'How easy was it to order for many?',
          steps: 5,
          low: 'hard',
          high: 'easy',
          required: true,
        },
        { id: 'clubbetter', kind: 'long', label: 'What should we do better?' },
      ],
      thanks: {
        heading: 'Thank you, all of you',
        text: 'The list for the spring order opens in February.',
        link: { words: 'To the shop', url: 'https://wrenfield.example/' },
      },
      translations: {
        de: {
          texts: {
            heading: 'Sie bestellen für viele',
            body: 'Was sollten andere wissen, bevor sie bestellen?',
            thanksHeading: 'Danke Ihnen allen',
            thanksText: 'Die Liste für die Frühjahrsbestellung öffnet im Februar.',
            linkWords: 'Zum Laden',
          },
          intro: 'Vier Fragen, zwei Minuten. Wir lesen jede Antwort am selben Tag.',
          questions: {
            clubhives: { label: 'Wie viele Völker betreuen Sie?', options: ['bis 10', '11 bis 50', 'mehr'] },
            clubneeds: {
              label: 'Was bestellen Sie?',
              options: ['Beuten', 'Anzüge', 'Futter', 'Kurse'],
            },
            clubeasy: {
              label: 'Wie leicht war es, für viele zu bestellen?',
              low: 'mühsam',
              high: 'leicht',
            },
            clubbetter: { label: 'Was sollten wir besser machen?' },
          },
        },
      },
    }),
  },
  {
    slug: 'course',
    name: 'Course',
    state: 'draft',
    design: designSchema.parse({
      schema: 1,
      heading: 'How was the course?',
      product: { shown: false },
      orderNumber: { shown: false },
      questions: [
        { id: 'courseday', kind: 'date', label: 'When were you here?', public: true },
        { id: 'coursehope', kind: 'short', label: 'What did you come to learn?', public: true },
      ],
    }),
  },
]
