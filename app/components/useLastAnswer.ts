import { useState } from 'react'

/** The last answer of the page's action. React Router forgets it whenever the page's data is loaded again. */
export function useLastAnswer<T>(actionData: T | undefined): T | undefined {
  const [last, setLast] = useState(actionData)
  if (actionData !== undefined && actionData !== last) setLast(actionData)
  return actionData ?? last
}
