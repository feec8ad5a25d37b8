/** Lengths of time in ms, as the clock counts them. */
export const SECOND = 1000;
export const MINUTE = 60 * SECOND;
export const HOUR = 60 * MINUTE;
export const DAY = 24 * HOUR;
/** The longest stretch that is calculated over, h: ten years. */
export const MOST_HOURS = 87_660;
