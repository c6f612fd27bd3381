const record = { to: 'screening#clearances', words: 'Record a clearance' }
const questions = { to: 'screening', words: 'To the questions' }
const checkIn = { to: 'check-in', words: 'Check in' }
const pulse = { to: 'pulse', words: 'Count a pulse' }
const maximum = { to: 'maximum', words: 'To the maximum' }
const prescription = { to: 'prescription', words: 'To the prescription' }
const sessions = { to: 'sessions', words: 'To the sessions' }
const thresholds = { to: 'bands', words: 'Enter thresholds' }

/** Where on a client's pages what a finding misses is entered, and what that is called. */
export const FINDING_PLACES: Record<string, { to: string; words: string }> = {
  'consent-first': { to: 'screening#consent', words: 'Record the consent' },
  'screening-open': questions,
  'screening-unfinished': questions,
  'changed-since': questions,
  'screening-stops': { to: 'screening', words: 'To the screening' },
  'clearance-first': record,
  'clearance-lapsed': record,
  'clearance-lapsing': record,
  'symptoms-first': record,
  'symptoms-stop': record,
  'pregnancy-word': record,
  'resting-over-stops': record,
  'limit-lapsed': { to: 'screening#limits', words: 'To the written limits' },
  'disease-told-otherwise': { to: 'screening#conditions', words: 'To the conditions' },
  'client-archived': { to: 'details', words: 'Restore' },
  'resting-missing': pulse,
  'resting-due': pulse,
  'resting-stale': pulse,
  'pulse-no-usual': pulse,
  'no-rest-to-come-back-to': pulse,
  'rate-suspended-medicine': pulse,
  'maximum-stale': maximum,
  'maximum-due': maximum,
  'no-prescription': prescription,
  'no-programme-yet': prescription,
  'programme-not-led': prescription,
  'suspended-intensity': prescription,
  'suspended-effort': prescription,
  'rate-suspended-cap': prescription,
  'rate-suspended-context': prescription,
  'birth-date-corrected': prescription,
  'prescription-review': prescription,
  'review-due': prescription,
  'no-programme-laid-out': { to: 'sessions', words: 'Plan a programme' },
  'programme-out-of-bounds': sessions,
  'programme-of-older': sessions,
  'step-due': sessions,
  'thresholds-missing': thresholds,
  'thresholds-stale': thresholds,
  'thresholds-outside': thresholds,
  'test-check-in': checkIn,
  'field-test-check-in': checkIn,
  'not-checked-in': checkIn,
  'not-today': { to: 'check-in', words: 'To the check-in' },
  'no-span': pulse,
  'test-due': { to: 'maximum/tests', words: 'To the field tests' },
}
