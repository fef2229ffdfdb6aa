import { simpleParser } from 'mailparser'
import { SMTPServer } from 'smtp-server'

/** A received email. */
export interface Letter {
  id: string
  messageId: string
  from: string
  to: string
  subject: string
  text: string
  html: string
  at: Date
  /** How often it arrived with the same Message-ID. */
  times: number
}

const MOST = 500

/** Mailboxes at this domain don't exist, so that a refusal can be seen. */
const REFUSED_DOMAIN = 'refused.example'

/** A mail server that keeps all emails. */
export function startMailbox(port: number, failed: (message: string) => void) {
  const letters: Letter[] = []
  const server = new SMTPServer({
    authOptional: true,
    disabledCommands: ['STARTTLS'],
    onRcptTo({ address }, _session, done) {
      if (!address.toLowerCase().endsWith(`@${REFUSED_DOMAIN}`)) return done()
      done(Object.assign(new Error(`There is no mailbox ${address}.`), { responseCode: 550 }))
    },
    onData(stream, _session, done) {
      simpleParser(stream).then(
        (mail) => {
          keep(letters, {
            id: String(letters.length + 1),
            messageId: mail.messageId ?? '',
            from: mail.from?.text ?? '',
            to: [mail.to ?? []]
              .flat()
              .map(({ text }) => text)
              .join(', '),
            subject: mail.subject ?? '',
            text: mail.text ?? '',
            html: mail.html || '',
            at: new Date(),
            times: 1,
          })
          done()
        },
        (error: Error) => done(error),
      )
    },
  })
  let listening = false
  // Later errors belong to single connections, for example of an application that was killed.
  server.on('error', ({ message }) => listening || failed(message))
  server.listen(port, () => (listening = true))
  return { letters, stop: () => new Promise<void>((resolve) => server.close(resolve)) }
}

function keep(letters: Letter[], letter: Letter): void {
  const earlier = letters.find(({ messageId }) => messageId === letter.messageId)
  if (earlier) {
    earlier.times++
    return
  }
  letters.push(letter)
  if (letters.length > MOST) letters.shift()
}
