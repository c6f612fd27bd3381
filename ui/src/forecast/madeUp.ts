/** Somebody whose rates stand for anybody’s: what is shown of them is in percent of reserve. */
export const ANYBODY = { restingBpm: 60, maximumBpm: 180 }
