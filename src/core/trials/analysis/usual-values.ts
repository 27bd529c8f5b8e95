/** Confidence where none is asked for. */
export const USUAL_LEVEL = 0.95;

/** What plots of one treatment differ by in a field of corn, percent: common practice says 6 to 8. */
export const USUAL_CV = 7;
