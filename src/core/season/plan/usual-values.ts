/** Rows of corn and beans where none are given, inches: common practice. */
export const USUAL_ROW_IN = 30;

/** Below this, and falling, ammonium in the soil stays ammonium, C (50 F): common practice. */
export const COLD_SOIL_C = 10;

/** Of nitrogen that is given twice, this share goes on early: common practice. */
export const EARLY_SHARE = 1 / 3;
