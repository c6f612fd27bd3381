/** Where on a client's pages what a finding misses is put on record, and what that is called. */
export const FINDING_PLACES: Record<string, { to: string; words: string }> = {
  'consent-first': { to: 'screening#consent', words: 'Record the consent' },
  'screening-open': { to: 'screening', words: 'To the questions' },
  'screening-unfinished': { to: 'screening', words: 'To the questions' },
  'clearance-first': { to: 'screening#clearances', words: 'Record a clearance' },
  'clearance-lapsed': { to: 'screening#clearances', words: 'Record a clearance' },
  'limit-lapsed': { to: 'screening#limits', words: 'To the written limits' },
  'disease-told-otherwise': { to: 'screening#conditions', words: 'To the conditions' },
  'resting-missing': { to: 'pulse', words: 'Count a pulse' },
  'resting-over-stops': { to: 'screening#clearances', words: 'Record a clearance' },
}
