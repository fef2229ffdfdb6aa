/** The English reasons for declining. Members choose among them, so they load without the other texts for customers. */
export const declineReasonTexts = {
  declineReason: {
    offTopic: 'It says nothing about what was bought.',
    elsewhere: 'It’s about another shop.',
    personal: 'It contains personal data.',
    rude: 'It insults someone.',
    twice: 'It was sent twice.',
    advert: 'It advertises something else.',
  },
} as const
