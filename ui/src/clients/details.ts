import type { ClientDetails, ClientView } from '../api/korvel'

/** What can be edited of a client, as the form holds it; an activity may not have been picked yet. */
export type EditableDetails = Pick<
  ClientView,
  | 'name'
  | 'note'
  | 'birthDate'
  | 'sex'
  | 'heartCondition'
  | 'heartFailure'
  | 'betaBlocker'
  | 'guardianConsent'
> & { activity: ClientDetails['activity'] | null }

/** A client's details, or those of nobody yet. */
export function editable(client?: ClientView): EditableDetails {
  return {
    name: client?.name ?? '',
    note: client?.note ?? '',
    birthDate: client?.birthDate ?? '',
    sex: client?.sex ?? 'not-given',
    activity: client?.activity ?? null,
    heartCondition: client?.heartCondition ?? false,
    heartFailure: client?.heartFailure ?? false,
    betaBlocker: client?.betaBlocker ?? false,
    guardianConsent: client?.guardianConsent ?? false,
  }
}
