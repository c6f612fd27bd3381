import { mileText } from '../shared/units'
import type { Answers, Medicine, Questions, WrittenLimit } from '../api/korvel'
import { ACTIVITIES, day } from '../shared/words'

export type Topic = Questions['topics'][number]['id']

/** What is typed of a medicine or a limit: text until the server has read it. */
export type MedicineEntry = {
  [K in keyof Medicine]: K extends 'medicineClass' ? Medicine[K] | null : string
}
export type LimitEntry = { [K in keyof WrittenLimit]: K extends 'kind' ? WrittenLimit[K] : string }

/** The answers as the form holds them. */
export interface Draft extends Pick<
  Answers,
  'asked' | 'slowMile' | 'symptoms' | 'conditions' | 'goal' | 'days' | 'equipment'
> {
  activity: Answers['activity'] | null
  medicines: MedicineEntry[]
  limits: LimitEntry[]
  heightCm: string
  weightKg: string
  usualRestingBpm: string
}

const text = (value: string | number | null | undefined) => String(value ?? '')

/** The answers that hold, to be gone through. */
export function draftOf(answers: Answers): Draft {
  return {
    ...answers,
    // Where activity has not been asked, none of its words is picked yet.
    activity: answers.asked.includes('activity') ? answers.activity : null,
    asked: [...answers.asked],
    symptoms: [...answers.symptoms],
    conditions: [...answers.conditions],
    days: [...answers.days],
    equipment: [...answers.equipment],
    medicines: answers.medicines.map((each) => ({
      medicineClass: each.medicineClass,
      name: text(each.name),
      dose: text(each.dose),
      since: text(each.since),
    })),
    limits: answers.limits.map((each) => ({
      kind: each.kind,
      value: text(each.value),
      issuer: each.issuer,
      issuedOn: each.issuedOn,
      until: text(each.until),
    })),
    heightCm: text(answers.heightCm),
    weightKg: text(answers.weightKg),
    usualRestingBpm: text(answers.usualRestingBpm),
  }
}

/** The parts of the answers that belong to each question. */
export const PARTS: Record<Topic, (keyof Draft)[]> = {
  activity: ['activity', 'slowMile'],
  symptoms: ['symptoms'],
  conditions: ['conditions'],
  medicines: ['medicines'],
  body: ['conditions'],
  limits: ['limits'],
  plan: ['goal', 'days', 'equipment', 'heightCm', 'weightKg', 'usualRestingBpm'],
}

/** How each question is put. */
export const ASKS: Record<Topic, string> = {
  activity: 'How active are they now?',
  symptoms: 'Any of these, at rest or with effort?',
  conditions: 'Are any of these known?',
  medicines: 'Which medications do they take?',
  body: 'Pregnancy, falls, joints',
  limits: 'Has a clinician written a limit?',
  plan: 'Goal, days and equipment',
}

export const DAYS = {
  monday: 'Mon',
  tuesday: 'Tue',
  wednesday: 'Wed',
  thursday: 'Thu',
  friday: 'Fri',
  saturday: 'Sat',
  sunday: 'Sun',
} as const

const list = (words: (string | undefined)[]) => words.filter(Boolean).join(', ')
const nameOf = (options: { id: string; name: string }[], id: string | null) =>
  options.find((option) => option.id === id)?.name

/** What was answered to a question, in a line. */
export function summary(topic: Topic, answers: Answers, questions: Questions): string {
  const body = (id: string) => questions.conditions.find((each) => each.id === id)?.group === 'body'
  const known = (inBody: boolean) =>
    list(
      answers.conditions
        .filter((id) => body(id) === inBody)
        .map((id) => nameOf(questions.conditions, id)),
    )
  switch (topic) {
    case 'activity':
      return (
        ACTIVITIES[answers.activity] + (answers.slowMile ? `, and slow over ${mileText()}` : '')
      )
    case 'symptoms':
      return list(answers.symptoms.map((id) => nameOf(questions.symptoms, id))) || 'None'
    case 'conditions':
      return known(false) || 'None'
    case 'medicines':
      return (
        list(
          answers.medicines.map((each) =>
            [each.name || nameOf(questions.medicines, each.medicineClass), each.dose]
              .filter(Boolean)
              .join(' '),
          ),
        ) || 'None'
      )
    case 'body':
      return known(true) || 'None'
    case 'limits':
      return (
        list(
          answers.limits.map((each) =>
            [
              nameOf(questions.limits, each.kind),
              each.value,
              `(${each.issuer}, ${day(each.issuedOn)})`,
            ]
              .filter((part) => part !== null && part !== '')
              .join(' '),
          ),
        ) || 'None'
      )
    case 'plan':
      return (
        list([
          nameOf(questions.goals, answers.goal),
          answers.days.map((each) => DAYS[each as keyof typeof DAYS]).join(' '),
          list(answers.equipment.map((id) => nameOf(questions.equipment, id)?.toLowerCase())),
        ]) || 'Not given'
      )
  }
}
