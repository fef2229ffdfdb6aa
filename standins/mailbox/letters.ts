import { simpleParser } from 'mailparser'
import { SMTPServer } from 'smtp-server'

/** A email that came in, as its reader sees it. */
export interface Letter {
  id: string
  messageId: string
  from: string
  to: string
  subject: string
  text: string
  html: string
  at: Date
  /** How often it came under the same Message-ID. */
  times: number
}

const MOST = 500

/** Mailboxes at this domain do not exist here, so that a refusal can be seen. */
const REFUSED_DOMAIN = 'refused.example'

/** A mail server of our own that keeps what it is handed and sends nothing on. */
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
  // Later errors are about single connections, such as that of an application that was killed.
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
