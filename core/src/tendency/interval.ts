/** Half of an interval that holds nine of ten, in standard errors. */
export const WITHIN_90 = 1.645;
