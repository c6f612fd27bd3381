import { get, post, put } from './http'
import type { components } from './schema'

type Schemas = components['schemas']

export type Studio = Schemas['StudioView']
export type ClientRow = Schemas['ClientRow']
export type ClientView = Schemas['ClientView']
export type ClientOverview = Schemas['ClientOverview']
export type ClientDetails = Schemas['DetailsRequest']
export type JobStep = Schemas['StepView']
export type RestingRecord = Schemas['RestingRecord']
export type Reading = Schemas['ReadingView']
export type ReadingRequest = Schemas['ReadingRequest']
export type Maximum = Schemas['MaximumView']
export type Estimate = Schemas['EstimateView']
export type Zones = Schemas['ZonesView']
export type Band = Schemas['BandView']
export type ClientBands = Schemas['ClientBands']
export type Start = Schemas['StartView']
export type Parts = Schemas['PartsRequest']
export type Prescription = Schemas['PrescriptionView']
export type SavedPrescription = Schemas['SavedView']
export type Card = Schemas['CardView']
export type Methods = Schemas['MethodsView']
export type Mode = Maximum['mode']

/** A form holds what was typed, number or not; the server says what is wrong with it. */
export type Typed<T> = { [K in keyof T]: T[K] | string | null }

const client = (id: string) => `/clients/${encodeURIComponent(id)}`

export const studio = () => get<Studio>('/studio')
export const methods = () => get<Methods>('/methods')

export const clients = (q: string) =>
  get<Schemas['ClientList']>(`/clients?q=${encodeURIComponent(q)}`)
export const overview = (id: string) => get<ClientOverview>(client(id))
export const addClient = (details: Typed<ClientDetails>) => post<ClientView>('/clients', details)
export const changeClient = (id: string, version: number, details: Typed<ClientDetails>) =>
  put<ClientView>(client(id), { version, details })

export const readings = (id: string) => get<RestingRecord>(`${client(id)}/readings`)
export const judgeReading = (id: string, reading: Typed<ReadingRequest>) =>
  post<Reading>(`${client(id)}/readings/judge`, reading)
export const keepReading = (id: string, reading: Typed<ReadingRequest>) =>
  post<Reading>(`${client(id)}/readings`, reading)

export const maximum = (id: string, mode: Mode) =>
  get<Maximum>(`${client(id)}/maximum?mode=${mode}`)
export const bands = (id: string, scheme: string, mode: Mode) =>
  get<ClientBands>(`${client(id)}/bands?scheme=${scheme}&mode=${mode}`)

export const start = (id: string, goal: string, approach: string | null, mode: Mode) =>
  get<Start>(
    `${client(id)}/prescriptions/start?goal=${goal}&mode=${mode}` +
      (approach ? `&approach=${approach}` : ''),
  )
export const previewPrescription = (id: string, parts: Typed<Parts>) =>
  post<Prescription>(`${client(id)}/prescriptions/preview`, parts)
export const savePrescription = (id: string, parts: Typed<Parts>) =>
  post<SavedPrescription>(`${client(id)}/prescriptions`, parts)
export const prescriptions = (id: string) =>
  get<Schemas['SavedList']>(`${client(id)}/prescriptions`)
export const card = (id: string, version: string) =>
  get<Card>(`${client(id)}/prescriptions/${encodeURIComponent(version)}/card`)
