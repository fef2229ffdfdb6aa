import type { Running } from './application'

/** The link that asks to confirm in the latest email to an address, once it has come to the stand-in mail server. */
export async function confirmLinkFor({ shopUrl }: Running, address: string): Promise<string> {
  for (let tries = 0; tries < 100; tries++) {
    const list = await (await fetch(`${shopUrl}mailbox`)).text()
    const id = new RegExp(`/mailbox/(\\d+)">[^<]*</a><br><small>to ${address}`).exec(list)?.[1]
    if (id) {
      const letter = await (await fetch(`${shopUrl}mailbox/${id}`)).text()
      return /href="(http[^"]*\/confirm\/[^"]+)"/.exec(letter)![1]!
    }
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  throw new Error(`no email has come for ${address}`)
}
