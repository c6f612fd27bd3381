import { ask, del, get, post, postFile, postForFile, postForText, put } from './http'
import type { components } from './schema'

type Schemas = components['schemas']

export type Studio = Schemas['StudioView']
export type Regional = Studio['regional']
export type DateOrder = NonNullable<Schemas['ListRequest']['dateOrder']>
export type ListedPerson = Schemas['ListedPerson']
export type ClientRow = Schemas['ClientRow']
export type ClientView = Schemas['ClientView']
export type ClientOverview = Schemas['ClientOverview']
export type ClientDetails = Schemas['DetailsRequest']
export type JobStep = Schemas['JobStep']
export type RestingRecord = Schemas['RestingRecord']
export type Reading = Schemas['ReadingView']
export type ReadingRequest = Schemas['ReadingRequest']
export type Taps = Schemas['TapsAnswer']
export type ClassStart = Schemas['ClassStart']
export type ClassCount = Schemas['ClassView']
export type ClassPerson = Schemas['PersonRow']
export type Practice = Schemas['PracticeView']
export type PracticeLevel = Schemas['PracticeLevelView']
export type GivenPulse = Schemas['GivenPulse']
export type PracticeTry = Schemas['TryView']
export type Maximum = Schemas['MaximumView']
export type Estimate = Schemas['EstimateView']
export type MaximumSheet = Schemas['MaximumSheet']
export type MeasuredMaximum = Schemas['MeasuredView']
export type MeasuredRequest = Schemas['MeasuredRequest']
export type MeasuredPreview = Schemas['MeasuredPreview']
export type MaximumKind = MeasuredMaximum['kind']
export type Span = Schemas['SpanView']
export type FieldTestSheet = Schemas['FieldTestSheet']
export type FieldTest = Schemas['FieldTestView']
export type FieldTestEvent = Partial<Typed<Schemas['EventRequest']>>
export type LiveStart = Schemas['LiveStart']
export type LiveRequest = Partial<Typed<Schemas['LiveRequest']>>
export type LiveView = Schemas['LiveView']
export type LiveSheet = Schemas['LiveSheet']
export type LiveState = Schemas['LiveState']
export type LiveStep = Schemas['LiveStep']
export type LiveLeg = Schemas['LegView']
export type LiveTrace = Schemas['TraceView']
export type LiveRow = Schemas['LiveRow']
export type LiveEvent = Partial<Typed<Schemas['LiveEventRequest']>>
export type LiveSamples = Partial<Typed<Schemas['SamplesRequest']>>
export type LiveSamplesTaken = Schemas['SamplesTaken']
export type LiveSummary = Schemas['LiveSummaryView']
export type LiveLog = Partial<Typed<Schemas['LiveLogRequest']>>
export type DeviceSheet = Schemas['DeviceSheet']
export type Effort = Schemas['EffortView']
export type EffortRequest = Schemas['EffortRequest']
export type Zones = Schemas['ZonesView']
export type Band = Schemas['BandView']
export type ClientBands = Schemas['ClientBands']
export type SchemeList = Schemas['SchemeList']
export type Scheme = Schemas['SchemeView']
export type SchemeRequest = Schemas['SchemeRequest']
export type WrittenScheme = Schemas['WrittenScheme']
export type SchemeTrial = Schemas['SchemeTrial']
export type ZoneSystems = Schemas['ZoneSystemsView']
export type ZoneSystem = Schemas['ZoneSystemView']
export type PlannedLoad = Schemas['PlannedLoadView']
export type Prescribable = Schemas['PrescribableView']
export type ThresholdList = Schemas['ThresholdList']
export type Shipped = Schemas['ShippedView']
export type Thresholds = Schemas['ThresholdsView']
export type RpeFamily = Schemas['DisplaySettingsView']['rpeFamily']
export type Start = Schemas['StartView']
export type Fitt = Schemas['FittRequest']
export type Prescription = Schemas['PrescriptionView']
export type SavedPrescription = Schemas['SavedView']
export type SavedPrescriptions = Schemas['SavedList']
export type Preview = Schemas['PreviewView']
export type Exercise = Schemas['ExerciseOption']
export type Outline = Schemas['OutlineView']
export type OutlineStep = Schemas['OutlineStepView']
export type StepKind = OutlineStep['kind']
export type OutlineRequest = Schemas['OutlineRequest']
export type NamedOutline = Schemas['NamedOutlineView']
export type Plan = Schemas['PlanView']
export type PlanRequest = Schemas['PlanRequest']
export type Programme = Schemas['ProgrammeView']
export type ProgrammeWeek = Schemas['ProgrammeWeekView']
export type PlannedSession = Schemas['PlannedSessionView']
export type ProgrammeSheet = Schemas['ProgrammeSheet']
export type WeekReview = Schemas['ReviewView']
export type SessionLog = Schemas['SessionLogView']
export type SessionLogRequest = Schemas['SessionLogRequest']
export type OpenSession = Schemas['OpenSession']
export type StopSign = Schemas['StopSignView']
export type CalendarDays = Schemas['CalendarView']
export type CalendarSession = Schemas['CalendarSession']
export type CalendarLinks = Schemas['CalendarLinks']
export type Progress = Schemas['ProgressView']
export type Card = Schemas['CardView']
export type CardsSheet = Schemas['CardsRequest']
export type SheetOfCards = Schemas['SheetOfCards']
export type Chart = Schemas['ChartView']
export type Methods = Schemas['MethodsView']
export type Mode = Maximum['mode']
export type Working = Schemas['WorkingView']
export type MaximumChoices = Schemas['ChoiceList']
export type PulseSum = Schemas['PulseRequest']
export type MaximumSum = Schemas['MaximumRequest']
export type TargetSum = Schemas['TargetRequest']
export type ZonesSum = Schemas['ZonesRequest']
export type CountsSum = Schemas['CountsRequest']

export type Questions = Schemas['Questions']
export type ScreeningRecord = Schemas['ScreeningView']
export type Answers = Schemas['AnswersView']
export type Medicine = Schemas['MedicineView']
export type WrittenLimit = Schemas['LimitView']
export type Decision = Schemas['DecisionView']
export type Clearance = Schemas['ClearanceView']
export type Consent = Schemas['ConsentView']
export type CheckInSheet = Schemas['CheckInSheet']
export type CheckIn = Schemas['CheckInView']
export type CheckInFound = Schemas['CheckInRequest']
export type Verdict = Schemas['VerdictView']
export type Today = Schemas['TodayView']
export type TodayRow = Schemas['TodayRow']

type Entered<V> =
  | V
  | string
  | null
  | (V extends readonly (infer E)[] ? readonly Entered<E>[] : V extends object ? Typed<V> : never)

/** A form holds what was typed, number or not; the server says what is wrong with it. */
export type Typed<T> = { [K in keyof T]: Entered<T[K]> }

/** What is empty is left out of an address. */
const query = (parts: Record<string, string>) =>
  new URLSearchParams(Object.entries(parts).filter(([, value]) => value)).toString()

const client = (id: string) => `/clients/${encodeURIComponent(id)}`

export const studio = () => get<Studio>('/studio')
/** What Korvel is made of, with the licences of all that ships. */
export const about = () => get<Schemas['AboutView']>('/about')
export const methods = () => get<Methods>('/methods')

export const clients = (q: string, archived = false) =>
  get<Schemas['ClientList']>(`/clients?q=${encodeURIComponent(q)}&archived=${archived}`)
/** Names alone, to pick from. */
export const clientNames = () => get<Schemas['NameList']>('/clients/names')
export const overview = (id: string) => get<ClientOverview>(client(id))
export const addClient = (details: Typed<ClientDetails>) => post<ClientView>('/clients', details)
export const changeClient = (id: string, version: number, details: Typed<ClientDetails>) =>
  put<ClientView>(client(id), { version, details })
export const eraseClient = (id: string, version: number, name: string) =>
  post<void>(`${client(id)}/erasure`, { version, name })
/** What a pasted list comes to; nobody is added. */
export const readPeople = (text: string, dateOrder: DateOrder | null) =>
  ask<Schemas['ReadList']>('/clients/list/read', { text, dateOrder })
/** All of them, or nobody. */
export const addPeople = (clients: Typed<ClientDetails>[]) =>
  post<Schemas['AddedList']>('/clients/list', { clients })
export const archiveClient = (id: string, version: number, archived: boolean) =>
  put<ClientView>(`${client(id)}/archived`, { version, archived })

/** What the ledger keeps: withdrawn, and undone, in one way. */
export type RecordKind =
  | 'readings'
  | 'laboratory-uptakes'
  | 'clearances'
  | 'consents'
  | 'checkins'
  | 'maxima'
  | 'maximum-choices'
  | 'efforts'
  | 'scheme-choices'
  | 'thresholds'
  | 'session-logs'
  | 'talk-decisions'
const entry = (id: string, kind: RecordKind, record: string) => `${client(id)}/${kind}/${record}`
/** Takes a record back; undoing what it answers makes it stand again. */
export const withdraw = (id: string, kind: RecordKind, record: string) =>
  del<Schemas['LedgerEntry']>(entry(id, kind, record))
/** Undoes what a record says: what stood before it stands again. */
export const undoRecord = (id: string, kind: RecordKind, record: string) =>
  post<Schemas['LedgerEntry']>(`${entry(id, kind, record)}/undo`, {})

export const readings = (id: string) => get<RestingRecord>(`${client(id)}/readings`)
export const judgeReading = (id: string, reading: Typed<ReadingRequest>, instead?: string) =>
  ask<Reading>(`${client(id)}/readings/judge${instead ? `?instead=${instead}` : ''}`, reading)
export const keepReading = (id: string, reading: Typed<ReadingRequest>) =>
  post<Reading>(`${client(id)}/readings`, reading)
export const correctReading = (id: string, reading: string, by: Typed<ReadingRequest>) =>
  put<Reading>(`${client(id)}/readings/${reading}`, by)

export const maximum = (id: string, mode: Mode) =>
  get<MaximumSheet>(`${client(id)}/maximum?mode=${mode}`)
export const maximumChoices = (id: string) => get<MaximumChoices>(`${client(id)}/maximum/choices`)
export const chooseMaximum = (id: string, method: string, reason: string) =>
  put<MaximumSheet>(`${client(id)}/maximum/choice`, { method, reason })
export const defaultMaximum = (id: string) => del<MaximumSheet>(`${client(id)}/maximum/choice`)

export const previewMeasured = (id: string, value: Typed<MeasuredRequest>, instead?: string) =>
  ask<MeasuredPreview>(`${client(id)}/maxima/preview${instead ? `?instead=${instead}` : ''}`, value)
export const keepMeasured = (id: string, value: Typed<MeasuredRequest>) =>
  post<Schemas['KeptMaximum']>(`${client(id)}/maxima`, value)
export const correctMeasured = (id: string, maximum: string, by: Typed<MeasuredRequest>) =>
  put<Schemas['KeptMaximum']>(`${client(id)}/maxima/${maximum}`, by)

export const fieldTests = (id: string) => get<FieldTestSheet>(`${client(id)}/field-tests`)
export const beginFieldTest = (id: string, test: Typed<Schemas['FieldTestRequest']>) =>
  post<FieldTest>(`${client(id)}/field-tests`, test)
const fieldTestPath = (test: string) => `/field-tests/${encodeURIComponent(test)}`
export const fieldTest = (test: string) => get<FieldTest>(fieldTestPath(test))
export const addToFieldTest = (test: string, event: string, happened: FieldTestEvent) =>
  put<FieldTest>(`${fieldTestPath(test)}/events/${event}`, happened)
export const keepFieldTest = (test: string) => post<FieldTest>(`${fieldTestPath(test)}/maximum`, {})

const livePath = (session: string) => `/live/${session}`
export const liveStart = (id: string) => get<LiveStart>(`${client(id)}/live`)
export const liveNow = () => get<LiveRow[]>('/live')
export const openLive = (request: LiveRequest) => post<LiveView>('/live', request)
export const live = (session: string) => get<LiveView>(livePath(session))
export const addToLive = (session: string, event: string, happened: LiveEvent) =>
  put<LiveState>(`${livePath(session)}/events/${event}`, happened)
export const sendSamples = (session: string, sequence: number, samples: LiveSamples) =>
  put<LiveSamplesTaken>(`${livePath(session)}/samples/${sequence}`, samples)
export const liveSummary = (session: string, scheme: string | null) =>
  get<LiveSummary>(`${livePath(session)}/summary?${query({ scheme: scheme ?? '' })}`)
export const logLive = (session: string, log: LiveLog) =>
  post<LiveView>(`${livePath(session)}/log`, log)

export type RoomStart = Schemas['RoomStart']
export type RoomRow = Schemas['RoomRow']
export type RoomRequest = Partial<Typed<Schemas['RoomRequest']>>
export type RoomPersonRequest = Partial<Typed<Schemas['RoomPersonRequest']>>
export type RoomView = Schemas['RoomView']
export type RoomSheet = Schemas['RoomSheet']
export type RoomPerson = Schemas['RoomPerson']
export type RoomState = Schemas['RoomState']
export type RoomTime = Schemas['RoomTime']
export type Lane = Schemas['Lane']
export type SwapQuestion = Schemas['SwapView']
export type RecoverySheet = Schemas['RecoverySheet']
export type RecoverySet = Schemas['SetView']
export type RecoveryWays = Schemas['WaysView']
export type RecoveryPosture = RecoverySet['posture']
export type ClientRecoveries = Schemas['ClientRecoveries']

const roomPath = (room: string) => `/rooms/${room}`
export const roomStart = () => get<RoomStart>('/rooms/start')
export const roomsNow = () => get<RoomRow[]>('/rooms')
export const openRoom = (request: RoomRequest) => post<RoomView>('/rooms', request)
export const simulateRoom = (request: Partial<Typed<Schemas['SimulatedRoomRequest']>>) =>
  post<RoomView>('/rooms/simulated', request)
export const liveRoom = (id: string) => get<RoomView>(roomPath(id))
export const addToRoom = (id: string, event: string, happened: LiveEvent) =>
  put<RoomView>(`${roomPath(id)}/events/${event}`, happened)
export const joinRoom = (id: string, person: RoomPersonRequest) =>
  post<RoomView>(`${roomPath(id)}/people`, person)
export const showOnWall = (
  id: string,
  session: string,
  shown: { nickname: string | null; rate: boolean },
) => put<RoomView>(`${roomPath(id)}/people/${session}/wall`, shown)
export const logRoom = (id: string) => post<Schemas['RoomLogged']>(`${roomPath(id)}/logs`, {})

type Ways = { first: string; second: string } | null
const ways = (two: Ways) => (two ? `?${query(two)}` : '')
export const roomRecovery = (id: string, two: Ways) =>
  get<RecoverySheet>(`${roomPath(id)}/recovery${ways(two)}`)
export const liveRecovery = (session: string, two: Ways) =>
  get<RecoverySheet>(`${livePath(session)}/recovery${ways(two)}`)
export const clientRecoveries = (id: string) => get<ClientRecoveries>(`${client(id)}/recoveries`)

export type StrapSample = Schemas['StrapSampleAnswer']
export const judgeStrapSample = (at: number[], packets: string[]) =>
  ask<StrapSample>('/calculator/strap-sample', { at, packets })

export const deviceSheet = (id: string, scheme: string, mode: Mode) =>
  get<DeviceSheet>(`${client(id)}/device-sheet?${query({ scheme, mode })}`)

export const efforts = (id: string) => get<Schemas['EffortList']>(`${client(id)}/efforts`)
export const previewEffort = (id: string, effort: Typed<EffortRequest>) =>
  ask<Effort>(`${client(id)}/efforts/preview`, effort)
export const keepEffort = (id: string, effort: Typed<EffortRequest>) =>
  post<Effort>(`${client(id)}/efforts`, effort)

/** In that scheme; without one, in the client's own or the studio's. */
export const bands = (id: string, scheme: string, mode: Mode) =>
  get<ClientBands>(`${client(id)}/bands?${query({ scheme, mode })}`)
export const schools = (id: string, mode: Mode) =>
  get<ZoneSystems>(`${client(id)}/schools?mode=${mode}`)
export const schoolsOf = (span: Typed<Schemas['ZoneSystemsRequest']>) =>
  ask<ZoneSystems>('/calculator/schools', span)
export const chooseScheme = (id: string, scheme: string | null) =>
  put<Schemas['ChosenView']>(`${client(id)}/scheme`, { scheme })

export const thresholds = (id: string, mode: Mode) =>
  get<ThresholdList>(`${client(id)}/thresholds?mode=${mode}`)
export const keepThresholds = (id: string, measured: Typed<Schemas['ThresholdsRequest']>) =>
  post<Thresholds>(`${client(id)}/thresholds`, measured)

const scheme = (id: string) => `/schemes/${encodeURIComponent(id)}`
export const schemes = () => get<SchemeList>('/schemes')
export const oneScheme = (id: string) => get<Scheme>(scheme(id))
export const addScheme = (written: Typed<Schemas['SchemeRequest']>) =>
  post<Scheme>('/schemes', written)
export const changeScheme = (
  id: string,
  version: number,
  written: Typed<Schemas['SchemeRequest']>,
) => put<Scheme>(scheme(id), { version, scheme: written })
export const archiveScheme = (id: string, version: number, archived: boolean) =>
  put<Scheme>(`${scheme(id)}/archived`, { version, archived })
export const schemeFile = (id: string) => `/api${scheme(id)}/file`
export const readScheme = (file: Blob) => postFile<WrittenScheme>('/schemes/read', file)
export const tryScheme = (written: Typed<Schemas['SchemeRequest']>, clients: string[]) =>
  ask<SchemeTrial>('/schemes/trial', { scheme: written, clients })
export const chooseWays = (version: number, scheme: string, rpeFamily: RpeFamily) =>
  put<Schemas['DisplaySettingsView']>('/studio/ways', { version, scheme, rpeFamily })

export const chooseRegional = (version: number, regional: Regional) =>
  put<Schemas['RegionalSettingsAnswer']>('/studio/regional', { version, regional })

/** Where to start; without a goal, for the one named at intake. */
export const start = (id: string, goal: string | null, approach: string | null, mode: Mode) =>
  get<Start>(
    `${client(id)}/prescriptions/start?mode=${mode}` +
      (goal ? `&goal=${goal}` : '') +
      (approach ? `&approach=${approach}` : ''),
  )
export const previewPrescription = (id: string, parts: Typed<Fitt>) =>
  ask<Preview>(`${client(id)}/prescriptions/preview`, parts)
/** On top of that version; one saved by somebody else meanwhile is a conflict. */
export const savePrescription = (id: string, after: number, parts: Typed<Fitt>) =>
  post<SavedPrescription>(`${client(id)}/prescriptions?after=${after}`, parts)
export const prescriptions = (id: string) => get<SavedPrescriptions>(`${client(id)}/prescriptions`)
export const card = (id: string, version: string) =>
  get<Card>(`${client(id)}/prescriptions/${encodeURIComponent(version)}/card`)

const outline = (id: string) => `/outlines/${encodeURIComponent(id)}`
export const outlines = () => get<Schemas['OutlineList']>('/outlines')
export const oneOutline = (id: string) => get<NamedOutline>(outline(id))
export const addOutline = (written: Typed<Schemas['NamedOutlineRequest']>) =>
  post<NamedOutline>('/outlines', written)
export const changeOutline = (
  id: string,
  version: number,
  written: Typed<Schemas['NamedOutlineRequest']>,
) => put<NamedOutline>(outline(id), { version, outline: written })
export const archiveOutline = (id: string, version: number, archived: boolean) =>
  put<NamedOutline>(`${outline(id)}/archived`, { version, archived })
export const outlineOn = (written: Typed<OutlineRequest>) =>
  ask<Outline>('/calculator/outline', { outline: written, restingBpm: null, maximumBpm: null })
export const outlineFor = (id: string, mode: Mode, written: Typed<OutlineRequest>) =>
  ask<Schemas['ClientOutlineView']>(`${client(id)}/outline?mode=${mode}`, written)

const programme = (id: string) => `${client(id)}/programme`
export const programmeSheet = (id: string) => get<ProgrammeSheet>(programme(id))
export const previewProgramme = (id: string, plan: Typed<PlanRequest>) =>
  ask<Programme>(`${programme(id)}/preview`, plan)
export const saveProgramme = (id: string, version: number, plan: Typed<PlanRequest>) =>
  put<Programme>(programme(id), { version, plan })
/** What can be changed of one session. */
export type SessionChange =
  | { date: string; time?: string | null; untimed?: boolean }
  | { skipped: boolean }
  | { mode: Mode }
  | { outline: string | null }
export const changeSession = (id: string, version: number, session: number, to: SessionChange) =>
  put<Programme>(`${programme(id)}/sessions/${session}/${Object.keys(to)[0]}`, { version, ...to })
export const takeBackProgramme = (id: string, version: number, to: number) =>
  put<Programme>(`${programme(id)}/version`, { version, to })

export const decideWeek = (
  id: string,
  week: number,
  decision: Typed<Schemas['WeekDecisionRequest']>,
) => put<Programme>(`${programme(id)}/weeks/${week}/decision`, decision)

/** What is to be logged of the last two weeks. */
export const toLog = () => get<Schemas['ToLog']>('/session-logs/open')
/** All of them, or none. */
export const keepLogs = (logs: Typed<SessionLogRequest>[]) =>
  post<Schemas['SessionLogList']>('/session-logs', { logs })
export const sessionLogs = (id: string) =>
  get<Schemas['SessionLogList']>(`${client(id)}/session-logs`)
const sessionLog = (id: string, log: string) => `${client(id)}/session-logs/${log}`
export const correctLog = (id: string, log: string, by: Typed<SessionLogRequest>) =>
  put<SessionLog>(sessionLog(id, log), by)

/** Of each day the first so many sessions; all of them where none is given. */
export const calendar = (from: string, to: string, of: string, most = '') =>
  get<CalendarDays>(`/calendar?${query({ from, to, client: of, most })}`)
/** Where a calendar file is fetched: one client's, a class's, or the studio's. */
export const calendarFile = (of: string, members: string[] = []) =>
  of
    ? `/api${client(of)}/calendar.ics`
    : `/api/calendar.ics?${new URLSearchParams(members.map((id) => ['client', id]))}`
export const calendarLinks = () => get<CalendarLinks>('/calendar/links')
export const subscribe = (name: string, clientId: string | null) =>
  post<Schemas['NewSubscription']>('/calendar/subscriptions', { name, clientId })
export const revokeSubscription = (id: string, revoked: boolean) =>
  put<CalendarLinks>(`/calendar/subscriptions/${id}/revoked`, { revoked })
export const readBusy = (file: File, of: string) =>
  postFile<CalendarLinks>(
    `/calendar/busy?${query({ name: file.name, client: of })}`,
    file,
    'text/calendar',
  )
export const removeBusy = (id: string, removed: boolean) =>
  put<CalendarLinks>(`/calendar/busy/${id}/removed`, { removed })

export const progress = (id: string) => get<Progress>(`${client(id)}/progress`)

export type RecordingRead = Schemas['RecordingRead']
export type RecordingPreview = Schemas['RecordingPreview']
export type RecordingRow = Schemas['RecordingRow']
export type CsvColumns = Schemas['CsvView']
export type RecordingQuestion = RecordingRead['asked'][number]
export type ComparedRecordings = Schemas['ComparedView']
export type SessionPeak = Schemas['PeakSaid']
export type RateSource = RecordingPreview['source']

/** How a file is to be read, where it does not say so itself. */
export interface RecordingSaid {
  csv: Pick<CsvColumns, 'rate' | 'time' | 'date' | 'steps' | 'order'> | null
  startedAt: string | null
}
/** What was chosen for a recording; what is left out is as the file says, or as it fits. */
export interface RecordingChosen {
  mode: Mode | null
  source: RateSource | null
  /** Number of the planned session, 0 for none. */
  planned: number | null
}
const recording = (id: string) => `/recordings/${id}`
const stated = (values: object) =>
  query(
    Object.fromEntries(
      Object.entries(values)
        .filter(([, value]) => value !== null)
        .map(([name, value]) => [name, String(value)]),
    ),
  )
export const recordings = (id: string) => get<RecordingRow[]>(`${client(id)}/recordings`)
/** Reads a file; it is looked at, and not kept yet. */
export const bringRecording = (id: string, file: File, said: RecordingSaid) =>
  postFile<RecordingRead>(
    `${client(id)}/recordings?${stated({ name: file.name, ...said.csv, startedAt: said.startedAt })}`,
    file,
    'application/octet-stream',
  )
export const lookAtRecording = (id: string, chosen: RecordingChosen) =>
  get<RecordingPreview>(`${recording(id)}?${stated(chosen)}`)
export const keepRecording = (
  id: string,
  chosen: RecordingChosen & { secondOf: string | null; rpe20: number | null },
) => post<Schemas['KeptRecording']>(`${recording(id)}/keep`, chosen)
export const discardRecording = (id: string) => del<void>(recording(id))
export const withdrawRecording = (id: string) => post<RecordingRow>(`${recording(id)}/withdraw`, {})
export const restoreRecording = (id: string) => post<RecordingRow>(`${recording(id)}/restore`, {})
export const agreementOf = (session: string) =>
  get<ComparedRecordings>(`/live/${session}/agreement`)
export const sessionPeak = (session: string) => get<SessionPeak | null>(`/live/${session}/peak`)
export const savePeak = (session: string, sensorSat: boolean) =>
  post<Schemas['SavedPeak']>(`/live/${session}/peak`, { sensorSat })

export type Months = Schemas['MonthsView']
export type Trend = Schemas['TrendSeries']
export type SpanThen = Schemas['SpanThen']
export type AllSessions = Schemas['AllSessions']
export const months = (id: string, count: number, mode: Mode | null) =>
  get<Months>(`${client(id)}/months?${stated({ months: count, mode })}`)
/** Where the months lie as a file: a page to hand over, or a table. */
export const monthsFile = (id: string, count: number, mode: Mode, kind: 'pdf' | 'csv') =>
  `/api${client(id)}/months.${kind}?${query({ months: String(count), mode })}`
export const spanOn = (id: string, on: string, mode: Mode) =>
  get<SpanThen>(`${client(id)}/span?${query({ on, mode })}`)
export const sessionsByZone = (
  id: string,
  scheme: string | null,
  span: 'own' | 'today',
  since: string,
) => get<AllSessions>(`${client(id)}/sessions/zones?${stated({ scheme, span, since })}`)

/** Where everything of a client, or of the studio, lies as one file. */
export const clientArchive = (id: string) => `/api${client(id)}/archive.zip`
export const studioArchive = '/api/studio/archive.zip'
export const takeArchive = (file: File) =>
  postFile<Schemas['ArchiveTaken']>('/archives', file, 'application/zip')

/** Sheets to print: as a page, and as a PDF. */
export type SheetKind = 'cards' | 'chart' | 'poster' | 'hand-out'
export const sheetPage = (kind: SheetKind, sheet: object) =>
  postForText(`/sheets/${kind}/page`, sheet)
export const sheetPdf = (kind: SheetKind, sheet: object) =>
  postForFile(`/sheets/${kind}/pdf`, sheet)
export const cardsOf = (sheet: Typed<CardsSheet>) => ask<SheetOfCards>('/sheets/cards', sheet)

export const classStart = () => get<ClassStart>('/class-counts/start')
export const beginClass = (room: Typed<Schemas['ClassRequest']>) =>
  post<ClassCount>('/class-counts', room)
const room = (id: string) => `/class-counts/${encodeURIComponent(id)}`
export const classCount = (id: string) => get<ClassCount>(room(id))
/** Enters a number for a person, or takes it back where none is given. */
export const enterCount = (
  id: string,
  person: string,
  which: 'count' | 'recount',
  beats: number | string | null,
) => {
  const path = `${room(id)}/people/${person}/${which}`
  return beats === null ? del<ClassPerson>(path) : put<ClassPerson>(path, { beats })
}
export const checkInClass = (id: string, leaveOut: string[]) =>
  post<Schemas['MadeCheckIns']>(`${room(id)}/checkins`, { leaveOut })

export const practice = () => get<Practice>('/practice')
export const givePulse = (level: PracticeLevel['id'], windowSeconds: number) =>
  ask<GivenPulse>('/practice/pulses', { level, windowSeconds })
export const keepTry = (tried: Typed<Schemas['TryRequest']>) =>
  post<PracticeTry>('/practice/tries', tried)

export const today = () => get<Today>('/today')

export const questions = () => get<Questions>('/screening/questions')
export const screening = (id: string) => get<ScreeningRecord>(`${client(id)}/screening`)
export const answer = (id: string, version: number, answers: Typed<Schemas['AnswersRequest']>) =>
  put<ScreeningRecord>(`${client(id)}/screening`, { version, answers })
export const addClearance = (id: string, clearance: Typed<Schemas['ClearanceRequest']>) =>
  post<Clearance>(`${client(id)}/clearances`, clearance)
export const addConsent = (id: string, consent: Typed<Schemas['ConsentRequest']>) =>
  post<Consent>(`${client(id)}/consents`, consent)

export const checkInSheet = (id: string) => get<CheckInSheet>(`${client(id)}/checkins`)
export const judgeCheckIn = (id: string, found: Typed<CheckInFound>) =>
  ask<Verdict>(`${client(id)}/checkins/preview`, found)
export const keepCheckIn = (id: string, found: Typed<CheckInFound>) =>
  post<CheckIn>(`${client(id)}/checkins`, found)

/** The calculators: nothing is stored. */
type Figures = (number | string | null)[] | null
const calculate = <T>(tool: string, sum: unknown) => ask<T>(`/calculator/${tool}`, sum)
const workOut = (tool: string, body: object) => ask<Working>(`/calculator/${tool}/working`, body)

export const tapsOf = (tapMillis: number[]) => calculate<Taps>('taps', { tapMillis })
export const pulseOf = (sum: Typed<PulseSum>) => calculate<Schemas['PulseAnswer']>('pulse', sum)
export const maximumOf = (sum: Typed<MaximumSum>) => calculate<Maximum>('maximum', sum)
export const targetOf = (sum: Typed<TargetSum>) => calculate<Schemas['TargetAnswer']>('target', sum)
export const zonesOf = (sum: Typed<ZonesSum>) => calculate<Zones>('zones', sum)
export const peakOf = (csv: string) => calculate<Schemas['PeakView']>('peak', { csv, source: null })
export const ratesOf = (restingBpm: number, maximumBpm: number) =>
  calculate<Schemas['RatesAnswer']>('rates', { restingBpm, maximumBpm })
export const chartOf = (sum: Typed<Schemas['ClassChartRequest']>) => calculate<Chart>('chart', sum)
export const countsOf = (sum: Typed<CountsSum>) => calculate<Schemas['CountsAnswer']>('counts', sum)

export const pulseWorking = (of: Typed<PulseSum>, figures: Figures) =>
  workOut('pulse', { of, figures })
export const maximumWorking = (of: Typed<MaximumSum>, method: string, figures: Figures) =>
  workOut('maximum', { of, method, figures })
export const targetWorking = (of: Typed<TargetSum>, figures: Figures) =>
  workOut('target', { of, figures })
export const zonesWorking = (of: Typed<ZonesSum>, band: string, figures: Figures) =>
  workOut('zones', { of, band, figures })
export const countsWorking = (of: Typed<CountsSum>, figures: Figures) =>
  workOut('counts', { of, figures })

export type TalkPage = Schemas['TalkPage']
export type Learned = Schemas['LearnedView']
export type TalkCheck = Schemas['CheckView']
export type TalkDay = Schemas['DayView']
export type TalkWitnesses = Schemas['WitnessesView']
export type TalkRequest = Typed<Schemas['CheckRequest']>
export type Passages = Schemas['PassagesView']

const talkPath = (id: string) => `${client(id)}/talk`
export const talk = (id: string, mode?: Mode) =>
  get<TalkPage>(`${talkPath(id)}${mode ? `?mode=${mode}` : ''}`)
export const passages = () => get<Passages>('/talk/passages')
export const addTalkCheck = (id: string, check: TalkRequest) =>
  post<TalkPage>(`${talkPath(id)}/checks`, check)
export const correctTalkCheck = (id: string, check: TalkRequest) =>
  put<TalkPage>(`${talkPath(id)}/checks`, check)
export const talkLongHand = (id: string, check: string, mode: Mode) =>
  get<Schemas['LongHandView']>(`${talkPath(id)}/checks/${check}?mode=${mode}`)
export const putTalkCheckOut = (
  id: string,
  check: string,
  mode: Mode,
  out: boolean,
  reason: string,
) => post<TalkPage>(`${talkPath(id)}/checks/${check}/use?mode=${mode}`, { out, reason })
export const decideTalk = (
  id: string,
  mode: Mode,
  which: 'lower' | 'upper',
  bpm: number,
  accept: boolean,
  reason: string,
) => post<TalkPage>(`${talkPath(id)}/offer`, { mode, which, bpm, accept, reason })
export const resetTalk = (id: string, mode: Mode, from: string | null, reason: string) =>
  post<TalkPage>(`${talkPath(id)}/reset`, { mode, from, reason })
export const switchTalk = (id: string, mode: Mode, on: boolean) =>
  post<TalkPage>(`${talkPath(id)}/learning?mode=${mode}`, { on, reason: '' })
export type StudioLearning = Schemas['StudioLearning']
export const studioLearning = () => get<StudioLearning>('/studio/learning')
export const chooseLearning = (version: number, on: boolean) =>
  put<StudioLearning>('/studio/learning', { version, on })

export type TestStart = Schemas['TestStart']
export type TestOption = Schemas['TestOption']
export type TestRequest = Partial<Typed<Schemas['TestRequest']>>
export type TestRow = Schemas['TestRow']
export type TestView = Schemas['TestView']
export type TestSheet = Schemas['TestSheet']
export type TestState = Schemas['TestState']
export type TestEvent = Partial<Typed<Schemas['TestEventRequest']>>
export type TestPrompt = Schemas['PromptRow']
export type GradedState = Schemas['GradedState']
export type Retest = Schemas['RetestView']
export type Protocol = Schemas['ProtocolView']
export type ProtocolRequest = Partial<Typed<Schemas['ProtocolRequest']>>
const testPath = (id: string) => `/tests/${id}`
export const testStart = (id: string) => get<TestStart>(`${client(id)}/tests`)
export const openTest = (id: string, request: TestRequest) =>
  post<TestView>(`${client(id)}/tests`, request)
export const testsNow = () => get<TestRow[]>('/tests')
export const test = (id: string) => get<TestView>(testPath(id))
export const addToTest = (id: string, event: string, happened: TestEvent) =>
  put<TestState>(`${testPath(id)}/events/${event}`, happened)
export const sendTestSamples = (id: string, sequence: number, samples: LiveSamples) =>
  put<LiveSamplesTaken>(`${testPath(id)}/samples/${sequence}`, samples)
export const keepTestMaximum = (id: string) => post<TestView>(`${testPath(id)}/maximum`, {})
export const retests = (id: string) => get<Retest[]>(`${testPath(id)}/retest`)
export const addLaboratory = (id: string, result: Partial<Typed<Schemas['LaboratoryRequest']>>) =>
  post<TestStart>(`${client(id)}/laboratory`, result)
export const protocols = () => get<Protocol[]>('/protocols')
export const addProtocol = (protocol: ProtocolRequest) => post<Protocol>('/protocols', protocol)
export const changeProtocol = (id: string, version: number, protocol: ProtocolRequest) =>
  put<Protocol>(`/protocols/${id}`, { version, protocol })
export const archiveProtocol = (id: string, version: number, archived: boolean) =>
  put<Protocol>(`/protocols/${id}/archived`, { version, archived })

export type PracticeTests = Schemas['PracticeTests']
export type PracticeAnswers = Schemas['PracticeAnswers']
export const practiceTests = () => get<PracticeTests>('/practice/tests')
export const practiseTest = (level: PracticeTests['levels'][number]['level'], speed: number) =>
  post<TestView>('/practice/tests', { level, speed })
export const practiceAnswers = (id: string) => get<PracticeAnswers>(`${testPath(id)}/answers`)

export type Forecast = Schemas['ForecastView']
export type ClientForecast = Schemas['ClientForecast']
export type ForecastAdvice = Schemas['AdviceView']
export type Remedy = Schemas['RemedyView']
export type ForecastRecord = Schemas['ForecastRecordView']
export type SessionForecast = Schemas['SessionForecastView']
export type ForecastReview = Schemas['ForecastReviewView']
export type PracticeSession = Schemas['PracticeSessionView']
export type PracticeTrouble = NonNullable<Schemas['PracticeSessionRequest']['trouble']>
/** Somebody made up: their span, and whether they are regularly active. */
export interface MadeUp {
  restingBpm: number | string | null
  maximumBpm: number | string | null
  trained: boolean
}
export const outlineForecast = (who: MadeUp, outline: Typed<OutlineRequest>) =>
  ask<Forecast>('/calculator/outline-forecast', { ...who, outline })
export const clientForecast = (
  id: string,
  mode: Mode,
  outline: Typed<OutlineRequest>,
  on: string | null = null,
) => ask<ClientForecast>(`${client(id)}/forecast?mode=${mode}`, { outline, on })
export const forecastRecord = (id: string) => get<ForecastRecord>(`${client(id)}/forecasts`)
export const sessionForecast = (id: string) => get<SessionForecast>(`/live/${id}/forecast`)
export const practiceTroubles = () => get<Schemas['PracticeSessionStart']>('/practice/sessions')
export const practiseSession = (
  who: MadeUp & { medicine: boolean; trouble: PracticeTrouble | null; seed: number | null },
  outline: Typed<OutlineRequest>,
) => ask<PracticeSession>('/practice/sessions', { ...who, outline })
