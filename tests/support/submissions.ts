const json = { Accept: 'application/json' }

/** A fresh token of a form. */
export async function formToken(url: string, slug: string): Promise<string> {
  const answer = await fetch(`${url}/f/${slug}`, { headers: json })
  return ((await answer.json()) as { token: string }).token
}

/** Sends one review through a form's JSON side. */
export function submit(url: string, slug: string, fields: Record<string, string>): Promise<Response> {
  return fetch(`${url}/f/${slug}`, {
    method: 'POST',
    headers: json,
    body: new URLSearchParams({
      rating: '4',
      body: 'It does what it should.',
      author_name: 'Sam Post',
      author_email: 'sam@post.example',
      consent: 'on',
      ...fields,
    }),
  })
}

/** Sends as many as wanted, one after the other, so that they arrive in their order. */
export async function sendSeveral(
  url: string,
  slug: string,
  count: number,
  fieldsOf: (i: number) => Record<string, string>,
): Promise<void> {
  for (let i = 0; i < count; i++) {
    const answer = await submit(url, slug, { token: await formToken(url, slug), ...fieldsOf(i) })
    if (answer.status !== 201) throw new Error(`${answer.status}: ${await answer.text()}`)
  }
}
