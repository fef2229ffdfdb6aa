/** The frame round every page, accounts and errors. */
export const frameWords = {
  and: 'and',
  today: 'today',
  frame: {
    steps: 'Steps',
    theme: { name: 'Light', system: 'as the system', day: 'day', night: 'night' },
  },
  step: { gather: 'Gather', decide: 'Decide', show: 'Show' },
  account: {
    signIn: 'Sign in',
    email: 'E-mail',
    password: 'Password',
    wrong: 'That address and password do not go together.',
    demo: 'This is the demo: the address and password are filled in. Just sign in.',
    signOut: 'Sign out',
    shops: 'Your shops',
    menu: 'Account of {{name}}',
    tagline: 'Praise on your page that visitors believe.',
    noShop: 'You belong to no shop yet. Ask its owner to add you.',
  },
  error: {
    title: 'That did not work',
    notFound: 'There is nothing at this address',
    notFoundHint: 'It may have moved, or belong to a shop that you are not part of.',
    home: 'To my shop',
    unexpected: 'Something went wrong on our side. Nothing you had kept is lost; try again in a moment.',
    offline: 'Elogio cannot be reached just now. Nothing here is lost; try again in a moment.',
    foreign: 'This was sent from another site, so it was not taken.',
    tooLarge: 'That is more than fits here.',
    wrongType: 'Send it as a form: urlencoded or multipart.',
  },
} as const
