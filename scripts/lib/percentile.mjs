// @ts-check

/** The time below which that share of all times lies; NaN of none. @param {readonly number[]} all @param {number} share @returns {number} */
export const percentile = (all, share) => all.toSorted((a, b) => a - b)[Math.ceil(all.length * share) - 1] ?? NaN;
