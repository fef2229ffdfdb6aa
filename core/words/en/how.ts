/** "How reviews are handled", for visitors; each sentence is true of what the application does. */
export const howWords = {
  how: {
    title: 'How reviews are handled',
    who: 'Who writes, and what we know of them',
    writers: {
      anyone:
        'Anyone can write through the form of {{shop}}, with a name and a mail address that is never shown.',
      confirmed:
        'Anyone can write through the form of {{shop}}, with a name and a mail address that is never shown. The review goes on once the writer has confirmed that mailbox by a button in a mail.',
      buyers: 'Only verified buyers can write through the form of {{shop}}. What others send is held back.',
    },
    bought:
      '“Bought here” stands only beside a review whose writer confirmed the mailbox of an order of this shop, or named an order and the name that goes with it; and the order was delivered before.',
    unproven: 'A review without that mark may be a customer’s all the same; nothing proved it.',
    deciding: 'How it is decided',
    read: '{{shop}} reads every review before it is shown.',
    rules:
      'Each arrival gets a spam score from 0 to 100, from its links, wording and disguised letters, near-copies of other reviews, who sent it and how fast, and sudden crowds that have too much in common. From {{held}} it is held back for a closer look, from {{spam}} it is set aside as spam; phone numbers and the like, and abuse, hold it back too.',
    same: 'The rules are the same for good and bad ratings: a low rating alone is never a reason.',
    unaltered: 'Words are shown as they came, whole or with “read on” after a part of them.',
    count: {
      received: 'came in so far',
      approved: 'were approved',
      undecided: 'wait for a decision',
      declined: 'were declined',
      spam: 'were spam',
    },
    average: 'The average',
    averageOf:
      'It is {{average}}, from all {{count}} approved reviews that customers rated themselves, whichever of them a page shows.',
    noAverage: 'No customer’s own rating is approved yet, so there is none.',
    uncounted_one:
      '{{count}} approved review has no rating or was written down by the shop for a customer, says so, and counts in no average.',
    uncounted_other:
      '{{count}} approved reviews have no rating or were written down by the shop for customers, say so, and count in no average.',
    scope: 'Beside a product it is the average of that product’s reviews.',
    shown: 'Which ones a page shows',
    shownWhy: 'Where a page shows fewer than all, it says that {{shop}} picked them and from how many.',
    chosenBy: 'These pages pick by more than what came last:',
    write: 'Write a review',
  },
} as const
