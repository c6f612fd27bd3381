/** The bpm axis that every row of the client list shares. */
export const SPAN_AXIS = { from: 35, to: 225, marks: [40, 80, 120, 160, 200] }

export const onSpanAxis = (bpm: number) =>
  Math.min(100, Math.max(0, ((bpm - SPAN_AXIS.from) / (SPAN_AXIS.to - SPAN_AXIS.from)) * 100))
