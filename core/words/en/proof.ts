/** Proof of purchase: why a review is a buyer's, and orders as they come in. */
export const proofWords = {
  match: {
    mailbox: 'The mailbox is that of order {{number}}: {{title}}, delivered {{when}}.',
    orderNumber: 'Order {{number}} is under this name: {{title}}, delivered {{when}}.',
    noNumber: 'No order of this mailbox, and no order number was given.',
    unknownNumber: 'No order of this mailbox, and there is no order {{number}}.',
    otherName: 'Order {{number}} is under another name and another mailbox.',
    otherProduct: 'The orders of this person have no {{product}} in them.',
    cancelled: 'The order was cancelled.',
    notDelivered: 'The order had not been delivered on the day of writing.',
  },
  orders: {
    file: {
      empty: 'There is nothing in this file.',
      noTable: 'This is not a table of orders: {{reason}}',
      noColumn: 'There is no column “{{column}}” in this file. Its columns are: {{heading}}.',
      noNumber: 'There is no order number.',
      noDate: '“{{typed}}” is no date. Write it like 2026-03-09.',
      cells: 'It has {{cells}} cells where the heading has {{columns}}. A comma too many?',
    },
  },
} as const
