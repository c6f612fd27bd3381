import type { ClientView } from '../api/korvel'

/** What can be edited of a client, as the form holds it. */
export type EditableDetails = Pick<ClientView, 'name' | 'note' | 'birthDate' | 'sex'>

/** A client's details, or those of nobody yet. */
export function editable(client?: ClientView): EditableDetails {
  return {
    name: client?.name ?? '',
    note: client?.note ?? '',
    birthDate: client?.birthDate ?? '',
    sex: client?.sex ?? 'not-given',
  }
}
