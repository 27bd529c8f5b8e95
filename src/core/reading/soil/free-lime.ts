/** Above this pH (water) free lime is likely: high pH becomes a diagnosis, Bray P1 is spent on the lime, CEC by summation reads high. Common practice. */
export const FREE_LIME_PH = 7.3;
