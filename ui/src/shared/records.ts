import { asProblem, type Problem } from '../api/http'
import { undoRecord, withdraw, type RecordKind } from '../api/korvel'
import { offerUndo } from './undo'

/** A kind of record kept and withdrawn, each with the offer to undo it before it is shown. */
export function useRecords(
  kind: RecordKind,
  client: () => string,
  /** Called after every change; an undo may come when the page has long been left. */
  changed: () => Promise<unknown>,
  failed: (problem: Problem) => void,
) {
  /** After something was put on record; undoing it takes it back. */
  async function kept(text: string, record: string) {
    const whose = client()
    offerUndo(text, async () => {
      await undoRecord(whose, kind, record)
      await changed()
    })
    await changed()
  }
  return {
    kept,
    async takeBack(text: string, record: string) {
      try {
        await kept(text, (await withdraw(client(), kind, record)).id)
      } catch (thrown) {
        failed(asProblem(thrown))
      }
    },
  }
}
