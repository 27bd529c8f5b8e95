/** dS/m above which salts are at work, and % sodium of CEC above which structure is at risk: common practice. */
export const SALTY_EC = 2;
export const SODIUM_PERCENT = 5;
