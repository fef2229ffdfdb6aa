/** The page that says what is wrong. */
export const problemWords = {
  problems: {
    title: 'What’s wrong',
    none: 'Nothing is wrong.',
    some_one: 'One thing needs you.',
    some_other: '{{count}} things need you.',
    why: 'Elogio looks at these each time you open this page.',
    mend: 'Go there',
    good: 'fine',
    wrong: 'wrong',
    about: {
      email: 'Email',
      disk: 'Disk space',
      backup: 'Backups',
      jobs: 'Background work',
      listings: 'Listings on other sites',
      code: 'Embed code on your site',
      address: 'The address of Elogio',
      attack: 'Attack',
    },
    diskGood: '{{gigabytes}} GB are free.',
    diskFull:
      'Only {{gigabytes}} GB are free. When the disk is full, no review can arrive. Delete files on the server, or get a larger disk.',
    diskUnknown: 'The disk can’t be read. Ask whoever installed Elogio to look at it.',
    backupGood_one: 'The latest is {{count}} hour old.',
    backupGood_other: 'The latest is {{count}} hours old.',
    backupSoon: 'The first is made within two hours of the first start, then one every day.',
    backupOld_one: 'The latest is {{count}} day old. Ask whoever installed Elogio to look at its log.',
    backupOld_other: 'The latest is {{count}} days old. Ask whoever installed Elogio to look at its log.',
    backupFailed: 'The latest one failed. Ask whoever installed Elogio to look at its log.',
    backupNoSpace:
      'There’s no space for a backup: {{megabytes}} MB must be free. Delete files on the server, or get a larger disk.',
    emailReady: 'An email server is set up. No email has been sent yet.',
    emailGood_one: '{{count}} email has been sent.',
    emailGood_other: '{{count}} emails have been sent.',
    emailNone:
      'No email server is set up, so nobody can confirm an address, and you hear of no new reviews. For whoever installed Elogio: set SMTP_URL and MAIL_FROM.',
    emailTroubled_one: 'An email couldn’t be sent.',
    emailTroubled_other: '{{count}} emails couldn’t be sent.',
    emailMany:
      'So many reviews came within an hour that their writers are no longer asked to confirm their address. It goes on by itself when fewer come. You can decide on their reviews without that.',
    jobsGood: 'Nothing has failed.',
    jobsFailed_one: 'One job failed.',
    jobsFailed_other: '{{count}} jobs failed.',
    listingsGood_one: '{{count}} listing is checked for new reviews.',
    listingsGood_other: '{{count}} listings are checked for new reviews.',
    listingsFailing_one: '{{name}} can’t be checked for new reviews.',
    listingsFailing_other: '{{name}} and others, {{count}} in all, can’t be checked for new reviews.',
    codeGood: 'Your embed codes are up to date.',
    codeOutdated_one:
      'The code on {{page}} reserves another height than the display has now, so the page moves while it loads. Copy the code again, and replace the old one.',
    codeOutdated_other:
      'The code on {{page}} and others, {{count}} pages in all, reserves another height than the display has now, so the pages move while they load. Copy the code again, and replace the old one.',
    attack_one: '{{count}} review looks like an attack.',
    attack_other: '{{count}} reviews look like an attack.',
    addressGood: 'Customers and visitors reach it at {{address}}.',
    addressLocal:
      'It’s {{address}}, which nobody outside this computer can open. For whoever installed Elogio: set PUBLIC_URL.',
    addressOpen:
      'It’s {{address}}, which isn’t encrypted. For whoever installed Elogio: put it behind https, as docs/running.md explains.',
  },
} as const
