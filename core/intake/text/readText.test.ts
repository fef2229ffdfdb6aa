import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { readText } from './readText'

/** Who, marks of five, date and words, as one line each. */
const read = (text: string, own: string[] = []) =>
  readText(text, own).map(({ authorName, rating, writtenAt, body }) => [
    authorName,
    rating && rating.hundredths / 100,
    writtenAt,
    body,
  ])

describe('mails', () => {
  test('head, greeting, quoted thread and signature come off', () => {
    const mail = `From: Anna Berg <anna@berg.example>
Date: Tue, 3 May 2026 14:03:22 +0200
To: hello@wrenfield.example
Subject: Re: your order

Hi Mara,

the hive went together in an afternoon. I would give it 4 out of 5, the plan is a little thin.

My bees do not mind.

Best regards,
Anna Berg
Berg Bakery
+44 7700 900123

On Mon, 2 May 2026 at 09:00, Wrenfield <hello@wrenfield.example> wrote:
> How has it been?
> Mara`
    expect(read(mail)).toEqual([
      [
        'Anna Berg',
        4,
        '2026-05-03T14:03:22',
        'the hive went together in an afternoon. I would give it 4 out of 5, the plan is a little thin.\n\nMy bees do not mind.',
      ],
    ])
    expect(readText(mail)[0]!.authorEmail).toBe('anna@berg.example')
  })
  test('in German, with the name in the signature alone', () => {
    expect(
      read(`Von: anna.vogt@post.example
Gesendet: 3. Mai 2026 14:03
An: info@wrenfield.example
Betreff: Danke!

Sehr geehrte Frau Oduya,
die Schleuder läuft ruhig und ist leicht zu reinigen.
Mit freundlichen Grüßen
Anna Vogt

-----Ursprüngliche Nachricht-----
Von: Wrenfield
Wie war es?`),
    ).toEqual([
      ['Anna Vogt', null, '2026-05-03T14:03', 'die Schleuder läuft ruhig und ist leicht zu reinigen.'],
    ])
  })
  test.each([
    [
      'De: Rosa Benítez <rosa@post.example>\nEnviado: 12/05/2026\nAsunto: gracias\n\nHola,\nla colmena encaja a la perfección.\nUn saludo\nRosa',
      ['Rosa Benítez', null, '2026-05-12', 'la colmena encaja a la perfección.'],
    ],
    [
      'De : Luc Pellerin <luc@post.example>\nDate : 12 mai 2026\nObjet : merci\n\nBonjour Mara,\nle costume est léger et solide.\nCordialement,\nLuc',
      ['Luc Pellerin', null, '2026-05-12', 'le costume est léger et solide.'],
    ],
    [
      'Od: Ewa Król <ewa@post.example>\nData: 2026-05-12\nTemat: kombinezon\n\nDzień dobry,\nkombinezon jest świetny, polecam każdemu.\nPozdrawiam\nEwa',
      ['Ewa Król', null, '2026-05-12', 'kombinezon jest świetny, polecam każdemu.'],
    ],
  ])('in other languages: %s', (mail, expected) => {
    expect(read(mail)).toEqual([expected])
  })
  test('a pasted body without a head is a letter all the same', () => {
    expect(
      read(
        'Hello,\n\nBest smoker I have owned in thirty years.\n\nThanks,\nSiobhan Kerr\n\nSent from my phone',
      ),
    ).toEqual([['Siobhan Kerr', null, null, 'Best smoker I have owned in thirty years.']])
    expect(read('Hi Mara, just to say the suit fits tall people at last. Cheers, Jun Okabe')).toHaveLength(1)
  })
})

describe('chats', () => {
  test('the customer’s turns, whoever else speaks', () => {
    const chat = `[12.05.2026, 14:03] Lotte Pohl: Hallo! Der Smoker ist da
[12.05.2026, 14:03] Lotte Pohl: er zieht sofort, ich bin begeistert
[12.05.2026, 14:10] Wrenfield: Das freut uns sehr, vielen Dank, dürfen wir das auf unserer Seite zeigen, wenn Sie mögen?
[12.05.2026, 14:11] Lotte Pohl: klar`
    expect(read(chat, ['Wrenfield'])).toEqual([
      [
        'Lotte Pohl',
        null,
        '2026-05-12T14:03',
        'Hallo! Der Smoker ist da\ner zieht sofort, ich bin begeistert\nklar',
      ],
    ])
  })
  test.each([
    [
      '12/05/2026, 2:03 pm - Tom Ardley: Paint held through two winters.\nStill shines.',
      ['Tom Ardley', null, '2026-05-12T14:03', 'Paint held through two winters.\nStill shines.'],
    ],
    [
      'Tom Ardley (14:03): Paint held through two winters.',
      ['Tom Ardley', null, null, 'Paint held through two winters.'],
    ],
    [
      'Tom Ardley 14:03\nPaint held through two winters.',
      ['Tom Ardley', null, null, 'Paint held through two winters.'],
    ],
  ])('%s', (chat, expected) => {
    expect(read(chat)).toEqual([expected])
  })
})

describe('notes', () => {
  test.each([
    ['Anna Berg: the best kit we have had', ['Anna Berg', null, null, 'the best kit we have had']],
    [
      '“Kept bees a year longer thanks to you.” — Ines Walcott, teacher',
      ['Ines Walcott', null, null, 'Kept bees a year longer thanks to you.'],
    ],
    [
      'Call from Mrs Jones, 3 May 2026: the frames arrived whole and early',
      ['Mrs Jones', null, '2026-05-03', 'the frames arrived whole and early'],
    ],
    [
      'Percy Langdale called: grandson wore it to the dentist',
      ['Percy Langdale', null, null, 'grandson wore it to the dentist'],
    ],
    [
      '★★★★☆ Good smoker, the bellows squeak.\nLotte V.',
      ['Lotte V.', 4, null, 'Good smoker, the bellows squeak.'],
    ],
    ['5/5 - Veil does not fog. - Hana Svoboda', ['Hana Svoboda', 5, null, 'Veil does not fog.']],
    [
      'Name: Bram Holloway\nRating: 9\nDate: 14.03.2026\nReview: Bees took it down in a week.',
      ['Bram Holloway', 4.5, '2026-03-14', 'Bees took it down in a week.'],
    ],
    ['Ich gebe fünf Sterne, weil alles passte.', [null, 5, null, 'Ich gebe fünf Sterne, weil alles passte.']],
    ['Great gloves, warm and soft (4,5 von 5)', [null, 4.5, null, 'Great gloves, warm and soft']],
    [
      'Everything square and solid.\n\n— Maud Pellerin, 12 October 2026',
      ['Maud Pellerin', null, '2026-10-12', 'Everything square and solid.'],
    ],
    [
      'We open 24/7 and your team answered within 2 hours, wonderful.',
      [null, null, null, 'We open 24/7 and your team answered within 2 hours, wonderful.'],
    ],
    [
      'Bought it on 3/5 and it is 100% wool, lovely.',
      [null, null, null, 'Bought it on 3/5 and it is 100% wool, lovely.'],
    ],
  ])('%s', (note, expected) => {
    expect(read(note)).toEqual([expected])
  })
})

describe('several in one paste', () => {
  const expected = [
    ['Hana S.', 5, null, 'Veil does not fog.'],
    ['Tom A.', 4, null, 'Paint held through two winters.'],
  ]
  test.each([
    ['Hana S. 5/5\nVeil does not fog.\n---\nTom A. 4/5\nPaint held through two winters.'],
    ['★★★★★ Veil does not fog.\nHana S.\n\n★★★★ Paint held through two winters.\nTom A.'],
    ['Hana S., 5 stars: Veil does not fog.\nTom A., 4 stars: Paint held through two winters.'],
  ])('%s', (paste) => {
    expect(read(paste)).toEqual(expected)
  })
  test('paragraphs of one letter stay one', () => {
    expect(
      read('The kit is lovely.\n\nThe nails were short, though you posted more.\n\nMy father is happy.'),
    ).toHaveLength(1)
  })
})

describe('nothing is found where nothing is', () => {
  test.each([
    '',
    '   \n\n',
    'When will my order arrive?',
    'Hi,\n\nwhere is my parcel? Did you send it?\n\nThanks,\nAnna Berg',
    'Order: WB-2091\nProduct: Hive kit\nPhone: 07700 900123',
    '- 2 x nails\n- 1 x veil\n- 4 x frames',
    'https://wrenfield.example/hives',
    'Ok thanks',
  ])('%j', (text) => {
    expect(read(text)).toEqual([])
  })
})

describe('as people really paste', () => {
  test.each<[string, ReturnType<typeof read>[number]]>([
    [
      'Hi there,\n\nThe extractor runs quietly – honestly 10/10.\n\nKeep up the good work!\n\nGreta Lindqvist\nApiary owner, Northfell',
      ['Greta Lindqvist', 5, null, 'The extractor runs quietly – honestly 10/10.\n\nKeep up the good work!'],
    ],
    [
      'Subject: Lovely\nFrom: "Kerr, Siobhan" <siobhan.kerr@mail.example>\nDate: 4 Nov 2026 09:12\n\nDear Wrenfield team\n\nStill going strong. Five stars from me.\n\nSiobhan',
      ['Siobhan Kerr', 5, '2026-11-04T09:12', 'Still going strong. Five stars from me.'],
    ],
    [
      'Phone note 12/10/2026 - Mr Ashdown says the suit "fits like a glove and breathes well". Very happy.',
      ['Mr Ashdown', null, '2026-10-12', 'the suit "fits like a glove and breathes well". Very happy.'],
    ],
    [
      'Tom Ardley – "The paint held through two winters" – 5 stars',
      ['Tom Ardley', 5, null, 'The paint held through two winters'],
    ],
    [
      '"Sturdy, cut true, one bag of nails short."\nPiotr Lis\nHive kit, two boxes',
      ['Piotr Lis', null, null, 'Sturdy, cut true, one bag of nails short.'],
    ],
    [
      'Hola Mara! Soy Beatriz Olmedo. El extractor funciona muy bien. Le doy un 9/10.',
      ['Beatriz Olmedo', 4.5, null, 'Soy Beatriz Olmedo. El extractor funciona muy bien. Le doy un 9/10.'],
    ],
    [
      'Hallo zusammen,\n\nder Smoker zieht sofort. 5 von 5 Sternen.\n\nLG\nKaspar',
      ['Kaspar', 5, null, 'der Smoker zieht sofort. 5 von 5 Sternen.'],
    ],
    [
      'Jun Okabe\n★★★★★\n2 weeks ago\nSuit fits tall people at last.',
      ['Jun Okabe', 5, null, 'Suit fits tall people at last.'],
    ],
    [
      'Feedback from Ines Walcott (teacher, Saltmarsh): The course took the fear out of me.',
      ['Ines Walcott', null, null, 'The course took the fear out of me.'],
    ],
    [
      'Liebes Team, die Handschuhe sind weich und warm. Danke, Annika Reuter',
      ['Annika Reuter', null, null, 'die Handschuhe sind weich und warm.'],
    ],
    [
      'The children were enthralled and nobody was stung.\n\nHead teacher Ruth Ashdown, Millbrook School',
      ['Ruth Ashdown', null, null, 'The children were enthralled and nobody was stung.'],
    ],
    [
      'Mrs. Tarrant on the phone: "The gloves are lovely and soft."',
      ['Mrs. Tarrant', null, null, 'The gloves are lovely and soft.'],
    ],
    [
      'Gwen T. wrote on 2 June 2026: Hive arrived early and whole.',
      ['Gwen T.', null, '2026-06-02', 'Hive arrived early and whole.'],
    ],
    ['“Excellent.” Harriet Slade, 2026-02-03', ['Harriet Slade', null, '2026-02-03', 'Excellent.']],
    [
      'Received by post (card), 21.06.2026:\n"Thank you for the patient advice."\nHarriet & Joe Slade',
      ['Harriet & Joe Slade', null, '2026-06-21', 'Thank you for the patient advice.'],
    ],
    [
      'Anna Berg\nBerg Bakery, Leeds\n\nWe put the jars beside the till and they were gone by noon.',
      ['Anna Berg', null, null, 'We put the jars beside the till and they were gone by noon.'],
    ],
    [
      'Note 3 stars: squeaky bellows, otherwise fine (Lotte V., March 2026)',
      ['Lotte V.', 3, null, 'squeaky bellows, otherwise fine'],
    ],
    [
      'Ik ben erg blij met de handschoenen, zacht en warm.\nGroetjes, Sanne de Wit',
      ['Sanne de Wit', null, null, 'Ik ben erg blij met de handschoenen, zacht en warm.'],
    ],
    [
      'Grazie mille per la spedizione veloce, il vestito è perfetto! Marco Bellini',
      ['Marco Bellini', null, null, 'Grazie mille per la spedizione veloce, il vestito è perfetto!'],
    ],
    [
      'The reviewer wrote:\n\n> I was nervous about bees. Now I am less nervous and more stung, but happy.\n\nInes W.',
      ['Ines W.', null, null, 'I was nervous about bees. Now I am less nervous and more stung, but happy.'],
    ],
  ])('%j', (text, expected) => {
    expect(read(text, ['Wrenfield', 'Mara'])).toEqual([expected])
  })
  test('a numbered list is as many as it has', () => {
    expect(read('1. Ewa Krol - 4/5 - Box soaked, jars fine.\n2. Nia Bevan - 5/5 - Bees love it.')).toEqual([
      ['Ewa Krol', 4, null, 'Box soaked, jars fine.'],
      ['Nia Bevan', 5, null, 'Bees love it.'],
    ])
  })
})

test('any text at all is read without a fault, and every place lies inside it', () => {
  const bits = fc.constantFrom(
    'Anna Berg',
    '5/5',
    '★★★',
    ':',
    ' - ',
    '\n',
    '\n\n',
    '> ',
    '“',
    '”',
    'Hi,',
    'Thanks,',
    'From: a@b.example',
    '3 May 2026',
    '(',
    ')',
    'good bees.',
  )
  fc.assert(
    fc.property(
      fc.array(fc.oneof(bits, fc.string({ unit: 'grapheme', maxLength: 8 })), { maxLength: 30 }),
      (parts) => {
        const text = parts.join(' ')
        for (const { places } of readText(text)) {
          for (const place of [places.authorName, places.rating, places.writtenAt, ...places.body]) {
            if (place)
              expect(0 <= place.start && place.start < place.end && place.end <= text.length).toBe(true)
          }
        }
      },
    ),
  )
})

test('a rating between two words ends the name', () => {
  const [review] = readText('Anna Berg ★★★ A')
  expect(review).toMatchObject({ authorName: 'Anna Berg', rating: { given: 3 } })
  expect(review!.places.authorName).toEqual({ start: 0, end: 9 })
})

test('every place that is marked holds what was found', () => {
  const text = 'Anna Berg, 4/5, 3 May 2026: the best kit we have had\nby far'
  const [review] = readText(text)
  const at = (place: { start: number; end: number } | null) => place && text.slice(place.start, place.end)
  expect([at(review!.places.authorName), at(review!.places.rating), at(review!.places.writtenAt)]).toEqual([
    'Anna Berg',
    '4/5',
    '3 May 2026',
  ])
  expect(review!.places.body.map(at)).toEqual(['the best kit we have had', 'by far'])
})

describe('more of what people paste', () => {
  const readOne = (text: string) => {
    const [found, ...others] = readText(text, ['Me'])
    expect(others).toEqual([])
    return found && [found.authorName, found.rating?.hundredths ?? null, found.writtenAt, found.body]
  }
  test.each<[string, (string | number | null)[]]>([
    [
      'Hi there, just wanted to say the jars are gorgeous. Five stars from me! Thanks, Delia M.',
      ['Delia M.', 500, null, 'just wanted to say the jars are gorgeous. Five stars from me!'],
    ],
    [
      'Note from the phone call with Mrs. Patel, 2 Feb 2026: loves the kettle, boils in half the time, 4/5',
      ['Mrs. Patel', 400, '2026-02-02', 'loves the kettle, boils in half the time, 4/5'],
    ],
    [
      '★★★★☆ Bequem, aber laut\nTobias K., 03.02.2026\nDer Stuhl quietscht beim Aufstehen.',
      ['Tobias K.', 400, '2026-02-03', 'Bequem, aber laut\nDer Stuhl quietscht beim Aufstehen.'],
    ],
    [
      'La lampada è bellissima, la consiglio a tutti. Voto: 5/5. Giulia Bernardi, 12 maggio 2026',
      ['Giulia Bernardi', 500, '2026-05-12', 'La lampada è bellissima, la consiglio a tutti. Voto: 5/5.'],
    ],
    ['Chat: "Ganz toller Service!!" (Petra, gestern)', ['Petra', null, null, 'Ganz toller Service!!']],
    [
      'On the phone today: Mr Iwu. Very happy with the bench, two days late. 4 stars.',
      ['Mr Iwu', 400, null, 'Very happy with the bench, two days late. 4 stars.'],
    ],
    [
      "Rec'd card from Mrs Thornbury 14.1.26: “The roses lasted three weeks!”",
      ['Mrs Thornbury', null, '2026-01-14', 'The roses lasted three weeks!'],
    ],
    [
      'Got this on a postcard from Anders & Siv in Malmö: Thank you for the best week of our summer. 10/10',
      ['Anders & Siv', 500, null, 'Thank you for the best week of our summer.'],
    ],
    ['Hej,\nkul kurs! Betyg 4 av 5.\nMvh\nÅsa Lind', ['Åsa Lind', 400, null, 'kul kurs! Betyg 4 av 5.']],
    [
      'Olá, adorei a chaleira. Nota 10/10. Abraços, Beatriz Nunes',
      ['Beatriz Nunes', 500, null, 'adorei a chaleira. Nota 10/10.'],
    ],
    [
      '10:14 Nadia\nthe cake was a dream!!!\n10:15 Me\nso glad!\n10:16 Nadia\n5 stars if I could leave them :)',
      ['Nadia', 500, null, 'the cake was a dream!!!\n5 stars if I could leave them :)'],
    ],
  ])('%s', (text, expected) => {
    expect(readOne(text)).toEqual(expected)
  })
  test('a list keeps its short ones, bare figures in brackets and those that nobody signed', () => {
    expect(
      readText(
        '- Mia: great soap, smells like rain (5)\n- Jon B.: ok, a bit small (3)\n- Anke Vogt: never again (1)',
      ).map(({ authorName, rating }) => [authorName, rating?.hundredths]),
    ).toEqual([
      ['Mia', 500],
      ['Jon B.', 300],
      ['Anke Vogt', 100],
    ])
    expect(
      readText(
        '1) "Best haircut in years" – Pia\n2) "Friendly, but I had to wait" – Ole H., 3/5\n3) "Won’t come back" – anonymous, 1/5',
      ).map(({ authorName, rating, body }) => [authorName, rating?.hundredths, body]),
    ).toEqual([
      ['Pia', undefined, 'Best haircut in years'],
      ['Ole H.', 300, 'Friendly, but I had to wait'],
      [null, 100, 'Won’t come back'],
    ])
  })
  test.each([
    'Can you tell me when my parcel arrives? Order 4411.',
    'Invoice 2231\nTotal: 45.00 EUR\nDue: 12 April 2026',
  ])('nothing is invented in %j', (text) => {
    expect(readText(text)).toEqual([])
  })
})

describe('a date without a year is the latest past one', () => {
  const dateOf = (text: string, today = '2026-11-28') => readText(text, [], today)[0]?.writtenAt
  test.each([
    ['Anna Berg, 3 May: “Two frames arrived split, and they sent four.” 4 out of 5', '2026-05-03'],
    ['Anna Berg, 3 December: “Two frames arrived split, and they sent four.”', '2025-12-03'],
    ['Anna Berg, May 3rd, 5/5: The frames arrived split, and they sent four.', '2026-05-03'],
    ['Anna Berg, 3. Juni: Der Honig ist wunderbar, wir kommen wieder.', '2026-06-03'],
    ['Name: Anna Berg\nDate: 28 November\nThe frames arrived split, and they sent four.', '2026-11-28'],
  ])('%s', (text, date) => {
    expect(dateOf(text)).toBe(date)
  })

  test('29 February is in a leap year, and words are no months', () => {
    expect(dateOf('Anna Berg, 29 February: the frames arrived split, and they sent four.')).toBe('2024-02-29')
    expect(dateOf('Anna Berg: it may 2 times have failed, but they sent four more.')).toBeNull()
    expect(dateOf('Anna Berg, 31 June: the frames arrived split, and they sent four.')).toBeNull()
  })

  test('without today it is not guessed', () => {
    expect(readText('Anna Berg, 3 May: “Two frames arrived split, and they sent four.”')[0]).toMatchObject({
      authorName: 'Anna Berg',
      writtenAt: null,
      places: { writtenAt: null },
    })
  })
})
