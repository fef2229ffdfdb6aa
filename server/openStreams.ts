/** Open event streams by session, so that they end with it. */
export interface OpenStreams {
  /**
   * @param end called when the session ends or a newer stream replaces this one
   * @returns a function that reports the stream as closed
   */
  open: (session: { hash: string; memberId: number }, end: () => void) => () => void
  endSession: (hash: string) => void
  /** Ends all streams of a member, for example when she changes her password. */
  endMember: (memberId: number) => void
  endAll: () => void
}

/** More than anyone has tabs; a new stream closes the oldest. */
const MAX_STREAMS_PER_SESSION = 40

interface Stream {
  hash: string
  memberId: number
  end: () => void
}

export function buildOpenStreams(): OpenStreams {
  const streams = new Set<Stream>()
  const endWhere = (isMeant: (stream: Stream) => boolean) => {
    for (const stream of [...streams].filter(isMeant)) {
      streams.delete(stream)
      stream.end()
    }
  }
  return {
    open({ hash, memberId }, end) {
      const stream = { hash, memberId, end }
      const ofSession = [...streams].filter((one) => one.hash === hash)
      const oldest = ofSession.length >= MAX_STREAMS_PER_SESSION ? ofSession[0] : undefined
      endWhere((one) => one === oldest)
      streams.add(stream)
      return () => streams.delete(stream)
    },
    endSession: (hash) => endWhere((one) => one.hash === hash),
    endMember: (memberId) => endWhere((one) => one.memberId === memberId),
    endAll: () => endWhere(() => true),
  }
}
