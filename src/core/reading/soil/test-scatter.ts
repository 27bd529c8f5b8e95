/** Two soil tests of like ground differ by up to this share of the larger: common practice (10 to 20 %). Within it they are alike. */
export const TEST_SCATTER = 0.15;
