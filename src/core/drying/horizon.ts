/** Longest drying that is followed, h. Hair still damp then will not dry in this air. */
export const HORIZON_H = 240;

/** Whether a time to dry is longer than was followed: it is said to be that, and never shown as a figure. */
export const isBeyondHorizon = (hours: number): boolean => hours >= HORIZON_H * (1 - 1e-6);
