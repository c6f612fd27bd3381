import { asProblem, type Problem } from '../api/http'
import { offerUndo } from './undo'

/** What is put on record and taken back, each with the offer to undo it before it is shown. */
export function useRecords(
  /** Called after every change; an undo may come when the page has long been left. */
  changed: () => Promise<unknown>,
  failed: (problem: Problem) => void,
) {
  return {
    /** After something was put on record. */
    async kept(text: string, takeBack: () => Promise<unknown>) {
      offerUndo(text, async () => {
        await takeBack()
        await changed()
      })
      await changed()
    },
    /** Takes something back; what the server answers is what undoes it. */
    async takeBack(
      text: string,
      take: () => Promise<{ id: string }>,
      undo: (takenBack: string) => Promise<unknown>,
    ) {
      try {
        const taken = await take()
        await this.kept(text, () => undo(taken.id))
      } catch (thrown) {
        failed(asProblem(thrown))
      }
    },
  }
}
