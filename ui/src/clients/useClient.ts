import { inject, type InjectionKey, type Ref } from 'vue'
import type { ClientOverview } from '../api/korvel'

/** What a client's page hands to its steps. */
export interface ClientInHand {
  id: Ref<string>
  overview: Ref<ClientOverview | null>
  /** To be called after anything was saved: header and path are worked out anew. */
  refresh: () => Promise<unknown>
}

export const CLIENT: InjectionKey<ClientInHand> = Symbol('client')

export function useClient(): ClientInHand {
  const client = inject(CLIENT)
  if (!client) throw new Error('a step stands inside a client’s page')
  return client
}
