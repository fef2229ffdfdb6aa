import { Command } from 'commander'

// What a command writes is for the account that runs it alone.
process.umask(0o077)

const program = new Command('elogio').description('The use cases without a screen, on the data folder.')

program
  .command('read <file>')
  .description('what bringing a file in would take, as JSON; needs no database')
  .option('--as <kind>', 'text: a pasted mail, chat, note or list of notes')
  .action(async (file: string, { as }: { as?: string }) => {
    const { readFile } = await import('./readFile')
    console.log(JSON.stringify(readFile(file, as, new Date(Date.now()).toISOString().slice(0, 10)), null, 2))
  })

program
  .command('assess <reviews>')
  .description('weighs the reviews of a JSON Lines file: state, score and reasons; needs no database')
  .option('--own <domains>', 'the shop’s own domains, parted by commas', '')
  .option('--teach <file>', 'decisions learnt first, as JSON Lines with "decision": "approved" or "spam"')
  .action(async (reviews: string, { own, teach }: { own: string; teach?: string }) => {
    const { assessFile } = await import('./assess')
    const ownDomains = own
      .split(',')
      .map((domain) => domain.trim().toLowerCase())
      .filter(Boolean)
    printLines(assessFile(reviews, ownDomains, teach))
  })

program
  .command('train-wording')
  .description('makes the text model and the vocabulary that ship, from the texts written for them')
  .action(async () => {
    const { saveWording, trainWording } = await import('./trainWording')
    const { saveVocabulary, trainVocabulary } = await import('./trainVocabulary')
    const file = trainWording()
    saveWording(file)
    saveVocabulary(trainVocabulary())
    console.log(`${file.weights.length} bytes`)
  })

program
  .command('match <reviews>')
  .description(
    'for each review of a JSON Lines file the order that proves its writer bought; needs no database',
  )
  .requiredOption('--orders <file>', 'a CSV of orders, a row for a line of an order')
  .option('--zone <name>', 'the shop’s time zone, in which days are counted', 'UTC')
  .action(async (reviews: string, { orders, zone }: { orders: string; zone: string }) => {
    const { matchFiles } = await import('./match')
    printLines(matchFiles(orders, reviews, zone, new Date(Date.now()).toISOString()))
  })

program
  .command('backup <file>')
  .description('writes database, pictures and secret into one file; Elogio may run meanwhile')
  .action(async (file: string) => (await import('./dataCommands')).backUp(file))

program
  .command('restore <file>')
  .description('puts a backup in the place of the data; Elogio has to be stopped')
  .action(async (file: string) => (await import('./dataCommands')).restore(file))

program
  .command('log')
  .description('the log of decisions')
  .command('verify')
  .description('recomputes the chain of every shop’s log; exits with 1 when one is broken')
  .action(async () => (await import('./dataCommands')).verifyLog())

program
  .command('member')
  .description('the people of the installation')
  .command('password <email>')
  .description('gives a member a new password and signs her out everywhere')
  .action(async (email: string) => (await import('./dataCommands')).givePassword(email))

// A single write, because a hundred thousand are slow.
function printLines(records: object[]): void {
  process.stdout.write(records.map((record) => `${JSON.stringify(record)}\n`).join(''))
}

try {
  await program.parseAsync()
} catch (error) {
  const { inWords } = await import('./inWords')
  console.error(inWords(error))
  process.exitCode = 1
}
