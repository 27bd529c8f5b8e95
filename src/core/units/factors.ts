// Each factor once, derived from exact definitions where there is one.

/** kg in a pound: the international pound, exact by definition (1959). */
export const KG_PER_LB = 0.45359237;
/** Hectares in an international acre: 4046.8564224 m2, exact by definition. */
export const HA_PER_ACRE = 0.40468564224;
/** Square metres in an international acre. */
export const M2_PER_ACRE = HA_PER_ACRE * 10_000;
/** Litres in a US gallon: 231 in3, exact by definition. */
export const L_PER_GAL = 3.785411784;
/** Grams in a pound, from the same definition. */
export const G_PER_LB = 1000 * KG_PER_LB;
/** lb in a gallon of water at 60 F; common practice takes a spray of a few percent as heavy as water. */
export const LB_PER_GAL_OF_WATER = 8.345;
/** lb of a percent of the plow layer: 1 % of 2,000,000 lb, 6 2/3 in of soil; common practice. */
export const LB_PER_PERCENT_OF_FURROW = 20_000;
/** Pounds in a short ton. */
export const LB_PER_SHORT_TON = 2000;
/** Square feet in an acre: 66 x 660, exact by definition. */
export const FT2_PER_ACRE = 43_560;
/** Milliseconds in a day counted in UTC, where no summer hour makes one longer. */
export const DAY_MS = 86_400_000;
/** Centimetres in an inch, exact by definition (1959). */
export const CM_PER_IN = 2.54;
/** Feet in a metre: 12 in of 2.54 cm to the foot. */
export const FT_PER_M = 1 / 0.3048;
export const MM_PER_IN = 10 * CM_PER_IN;
/** Kilometres in a mile: 5,280 ft of 0.3048 m, exact by definition. */
export const KM_PER_MILE = (5280 * 0.3048) / 1000;
/** Million litres in an acre-foot of water: a hectare by 0.3048 m is 3.048 ML. */
export const ML_PER_ACRE_FOOT = HA_PER_ACRE * 3.048;

export const KG_PER_T = 1000;

/** kg/ha in 1 lb/ac: 1.12085. */
export const KG_HA_PER_LB_AC = KG_PER_LB / HA_PER_ACRE;
/** t/ha in 1 short ton (2000 lb) per acre: 2.2417. */
export const T_HA_PER_SHORT_TON_AC = (LB_PER_SHORT_TON * KG_HA_PER_LB_AC) / KG_PER_T;
/** Tonnes in a short ton. */
export const T_PER_SHORT_TON = (LB_PER_SHORT_TON * KG_PER_LB) / KG_PER_T;

/** Common practice: an acre furrow slice, 6 2/3 in, is 2,000,000 lb of soil; so 1 ppm is 0.3 lb/ac in each inch. */
export const LB_AC_PER_PPM_INCH = 2 / (20 / 3);
/** Common practice: the older laboratory habit of ppm x 2, whatever the depth. */
export const LB_AC_PER_PPM_FURROW = 2;
/** g/cm3 that makes the furrow slice weigh 2,000,000 lb: 1.324. */
export const FURROW_BULK_DENSITY = (LB_AC_PER_PPM_INCH * KG_HA_PER_LB_AC) / (0.1 * CM_PER_IN);

/** ppm of each cation in 1 meq/100 g: atomic weight over charge, times 10 (as rounded in the trade). */
export const PPM_PER_MEQ = { Ca: 200.4, Mg: 121.5, K: 391, Na: 230, Al: 90 } as const;

/** K2O in 1 of K: molar masses, as rounded in the trade. */
export const K2O_PER_K = 1.2046;

/**
 * t/ha of CaCO3 that meet 1 cmol(+)/kg of acidity in each cm of soil at 1 g/cm3: half of its 100 g/mol to a charge,
 * times 100 t of soil in a cm on a hectare, is 0.05.
 */
export const CACO3_T_HA_PER_CMOL = 0.05;

/** Organic matter from organic carbon: common practice. */
export const OM_PER_OC = 1.72;
