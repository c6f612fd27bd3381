import type { Methods } from '../api/korvel'
import {
  capital,
  BASES,
  effort,
  figureSpan,
  KINDS,
  MODES,
  schemeFigures,
  span,
  within,
} from '../shared/words'

/** One entry of the list of methods, whatever table it stands in. */
export interface Entry {
  /** The anchor other pages link to. */
  id: string
  name: string
  /** The formula or the figures, set apart from the words. */
  figures: string
  /** What it means and when it serves. */
  serves: string
  /** Who or what it was made on; empty where that is not a question. */
  population: string
  error: string
  source: string
}

export interface Group {
  id: string
  name: string
  entries: Entry[]
}

const SEVERITIES = { info: 'Note', caution: 'Watch', block: 'First' }

function entry(id: string, name: string, source: string, rest: Partial<Entry>): Entry {
  return { id, name, source, figures: '', serves: '', population: '', error: '', ...rest }
}

/** Every table of the rules as entries of one shape. */
export function groups(methods: Methods): Group[] {
  return [
    {
      id: 'equations',
      name: 'Equations for the maximum',
      entries: methods.equations.map((row) =>
        entry(row.id, row.name, row.source, {
          figures: row.formula === row.name ? '' : row.formula,
          serves: row.serves,
          population: row.population,
          error: `± ${row.error} bpm (standard error). ${row.errorNote}`.trim(),
        }),
      ),
    },
    {
      id: 'formulas',
      name: 'The arithmetic',
      entries: methods.formulas.map((row) =>
        entry(row.id, row.name, row.source, {
          figures: row.formula,
          serves: row.serves,
          error: row.error,
        }),
      ),
    },
    {
      id: 'schemes',
      name: 'Zone systems',
      entries: methods.schemes.map((row) =>
        entry(row.id, row.name, row.source, {
          figures: schemeFigures(row),
          serves: `${KINDS[row.kind].name}: ${BASES[row.basis].unit}. ${row.serves}`,
        }),
      ),
    },
    {
      id: 'levels',
      name: 'Levels of effort, and the scales they are rated on',
      entries: methods.scales.map((row) =>
        entry(`level-${row.level}`, `${row.level} ${row.name}`, row.source, {
          figures:
            `RPE ${effort(row.rpe20, 6)} (6–20); on 0–10: ${effort(row.rpe10Ratio, 0)} ` +
            `on ratio scales, ${effort(row.rpe10Linear, 0)} on linear ones`,
          serves: `${capital(row.voice)}. Breathing: ${row.breathing}. Like ${row.like}.`,
        }),
      ),
    },
    {
      id: 'windows',
      name: 'Counting windows',
      entries: methods.protocols.map((row) =>
        entry(`window-${row.seconds}`, `${row.seconds} s`, row.source, {
          figures: `beats × ${row.multiplyBy}`,
          serves: `${capital(row.use)}.`,
          error: `± ${row.uncertaintyBpm} bpm`,
        }),
      ),
    },
    {
      id: 'usual',
      name: 'Usual at rest',
      entries: methods.usualResting.map((row) =>
        entry(
          `usual-from-${row.fromAge}`,
          row.fromAge === 0 ? 'Children' : `From ${row.fromAge} years`,
          row.source,
          {
            figures: `${span([row.lowBpm, row.highBpm])} bpm`,
            serves: 'Seated and settled. Outside it, ask; over it, a doctor before training.',
          },
        ),
      ),
    },
    {
      id: 'grades',
      name: 'What a resting reading is worth',
      entries: methods.grades.map((row) =>
        entry(row.id, capital(row.name), row.source, { serves: row.meaning }),
      ),
    },
    {
      id: 'measured',
      name: 'How a maximum is measured, and how accurate it is on the day',
      entries: methods.maximumKinds.map((row) =>
        entry(row.id, row.name, row.source, {
          serves: row.meaning,
          error:
            row.goodBpm === row.poorBpm
              ? `± ${row.goodBpm} bpm; 1 bpm more a year`
              : `± ${row.goodBpm} bpm when good, ${row.fairBpm} fair, ${row.poorBpm} poor; 1 bpm more a year`,
        }),
      ),
    },
    {
      id: 'field-tests',
      name: 'Field tests of the maximum',
      entries: methods.fieldTests.map((row) =>
        entry(row.id, row.name, row.source, {
          figures: row.summary,
          serves: `${row.work} Asked of each bout: ${row.question.toLowerCase()}?`,
        }),
      ),
    },
    {
      id: 'practice',
      name: 'Levels of practice',
      entries: methods.practiceLevels.map((row) =>
        entry(row.id, row.name, row.source, {
          figures: `${span([row.lowestBpm, row.highestBpm])} bpm`,
          serves:
            `Counted for ${row.windowSeconds} s to begin with.` +
            (row.asksRhythm ? ' Steady or uneven: the learner says which.' : ''),
        }),
      ),
    },
    {
      id: 'activities',
      name: 'Activity level',
      entries: methods.activities.map((row) =>
        entry(`activity-${row.activity}`, capital(row.activity), row.source, {
          serves: `${capital(row.definition)}.`,
        }),
      ),
    },
    {
      id: 'decisions',
      name: 'Screening: may they exercise, and how hard',
      entries: methods.decisions.map((row) =>
        entry(row.id, capital(row.who), row.source, {
          figures: `allows ${row.allows.replaceAll('-', ' ')}`,
          serves:
            row.decision +
            (row.clearanceNeeded === 'none'
              ? ''
              : ` Clearance ${row.clearanceNeeded.replaceAll('-', ' ')}.`),
        }),
      ),
    },
    {
      id: 'conditions',
      name: 'Conditions the intake asks for',
      entries: methods.conditions.map((row) =>
        entry(row.id, row.name, row.source, {
          serves: row.knownDisease
            ? 'Counts as known cardiovascular, metabolic or renal disease.'
            : 'Alone asks for no clearance; brings rules of its own.',
        }),
      ),
    },
    {
      id: 'symptoms',
      name: 'Signs or symptoms',
      entries: methods.symptoms.map((row) =>
        entry(row.id, row.name, row.source, { serves: 'A doctor before any exercise.' }),
      ),
    },
    {
      id: 'medicines',
      name: 'Medications by what they do to the work',
      entries: methods.medicines.map((row) =>
        entry(row.id, row.name, row.source, {
          serves:
            (row.tells ? `${row.meaning} Counts as known: ${row.tells}.` : row.meaning) +
            ` Common generic names: ${row.genericNames.join(', ')}.`,
        }),
      ),
    },
    {
      id: 'contexts',
      name: 'What each condition, medication or age changes',
      entries: methods.contexts.map((row) =>
        entry(row.id, row.name, row.source, {
          figures:
            `${within(row.steering)}; warm-up ${row.warmUpMinutes} min` +
            (row.highestEffort < 20 ? `; RPE up to ${row.highestEffort} (6–20)` : ''),
          serves: row.because,
        }),
      ),
    },
    {
      id: 'goals',
      name: 'Goals',
      entries: methods.goals.map((row) =>
        entry(`goal-${row.id}`, row.name, row.source, {
          figures: `${span([row.lowPercent, row.highPercent])} % of reserve`,
          serves: row.meaning,
        }),
      ),
    },
    {
      id: 'types',
      name: 'How the minutes are planned',
      entries: methods.workTypes.map((row) =>
        entry(`type-${row.id}`, row.name, row.source, {
          figures: `at least ${row.fewestMinutes} min, up to ${row.highestPercent} % of reserve`,
          serves: row.how,
        }),
      ),
    },
    {
      id: 'principles',
      name: 'Principles of training',
      entries: methods.principles.map((row) =>
        entry(row.id, row.name, row.source, { serves: row.says }),
      ),
    },
    {
      id: 'exercises',
      name: 'Exercises',
      entries: methods.exercises.map((row) =>
        entry(row.id, row.name, row.source, {
          figures:
            row.lowMet === null || row.highMet === null
              ? 'no usual MET range is on record'
              : `usually ${figureSpan(row.lowMet, row.highMet)} MET`,
          serves: [
            `${row.type}; mode: ${MODES[row.mode]}.`,
            row.notWith.length ? `Not for those who leave out ${row.notWith.join(', ')}.` : '',
            row.mind.length ? `To be minded: ${row.mind.join('; ').toLowerCase()}.` : '',
          ]
            .filter(Boolean)
            .join(' '),
        }),
      ),
    },
    {
      id: 'thresholds',
      name: 'Decision thresholds',
      entries: methods.thresholds.map((row) =>
        entry(`threshold-${row.id}`, capital(row.name), row.source, {
          figures: `${row.value} ${row.unit}`,
          serves: row.meaning,
        }),
      ),
    },
    {
      id: 'limits',
      name: 'What is accepted',
      entries: methods.limits.map((row) =>
        entry(`limit-${row.id}`, capital(row.id.replaceAll('-', ' ')), row.source, {
          figures: `${row.lowest} to ${row.highest} ${row.unit}`,
          serves: 'Anything outside is refused, and nothing is lost.',
        }),
      ),
    },
    ...rooms(methods.findings).map(([room, rows]) => ({
      id: `findings-${room}`,
      name: `Findings: ${ROOMS[room] ?? room}`,
      entries: rows.map((row) =>
        entry(row.code, row.message, row.source, {
          serves: `${row.because} Shown as “${SEVERITIES[row.severity]}”.`,
        }),
      ),
    })),
  ]
}

/** Where in the work a finding is made. */
const ROOMS: Record<string, string> = {
  screening: 'screening',
  pulse: 'resting pulse',
  checkin: 'check-in',
  maximum: 'maximum heart rate',
  fieldtest: 'field tests',
  zone: 'zones',
  effort: 'efforts',
  outline: 'session outlines',
  prescription: 'prescription',
  programme: 'programme',
  session: 'sessions done',
  progress: 'progress',
  forecast: 'sessions foreseen',
  trace: 'recordings',
  recovery: 'recovery',
  talk: 'talk checks',
  live: 'sessions on the clock',
  assessment: 'tests',
}
function rooms(findings: Methods['findings']): [string, Methods['findings']][] {
  const byRoom = new Map<string, Methods['findings']>()
  for (const row of findings) byRoom.set(row.room, [...(byRoom.get(row.room) ?? []), row])
  return [...byRoom]
}

/** The entries that hold every word typed. */
export function found(all: Group[], typed: string): Group[] {
  const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()
  const words = plain(typed).split(/\s+/).filter(Boolean)
  return all
    .map((group) => ({
      ...group,
      entries: group.entries.filter((each) => {
        const text = plain(`${group.name} ${Object.values(each).join(' ')}`)
        return words.every((word) => text.includes(word))
      }),
    }))
    .filter((group) => group.entries.length)
}
