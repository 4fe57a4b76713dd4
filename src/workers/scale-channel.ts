/** Where the simulated scale of this browser tells its readings. */
export const SCALE_CHANNEL = 'keen-spiral-scale';
