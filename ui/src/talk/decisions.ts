import { undoRecord, type TalkPage } from '../api/korvel'

/** Undoes what was decided last: it stands first on the page that answered it. */
export const undoLatest = (client: string, page: TalkPage) =>
  undoRecord(client, 'talk-decisions', page.decisions[0]!.id)
