/** How a studio wants to see times, dates, lengths, weights and temperatures. */
export interface DisplaySettings {
  readonly length: 'cm' | 'in';
  readonly mass: 'g' | 'oz';
  readonly temperature: 'C' | 'F';
  /** The clock: 24 hours, or 12 with am and pm. */
  readonly hours: 24 | 12;
  readonly dateOrder: 'day-first' | 'month-first' | 'year-first';
  /** ISO number of the first day of the week: 1 Monday, 6 Saturday, 7 Sunday. */
  readonly firstDay: 1 | 6 | 7;
}

/** As it is shown where nothing was chosen. */
export const USUAL_DISPLAY: DisplaySettings = {
  length: 'cm',
  mass: 'g',
  temperature: 'C',
  hours: 24,
  dateOrder: 'day-first',
  firstDay: 1,
};

/** The units of a studio. */
export type Units = Pick<DisplaySettings, 'length' | 'mass' | 'temperature'>;
/** Centimetres, grams and degrees Celsius. */
export const METRIC: Units = { length: 'cm', mass: 'g', temperature: 'C' };
/** Inches, ounces and degrees Fahrenheit. */
export const IMPERIAL: Units = { length: 'in', mass: 'oz', temperature: 'F' };

/** How a studio tells the time: where, and in which words. */
export type Clock = { readonly timeZone: string } & Pick<DisplaySettings, 'hours' | 'dateOrder' | 'firstDay'>;

/** The clock in a place, told as a studio wants it. */
export const clockIn = (timeZone: string, { hours, dateOrder, firstDay }: DisplaySettings): Clock => ({
  timeZone,
  hours,
  dateOrder,
  firstDay,
});

/** The clock of Greenwich in the usual words, for times that are on a clock of their own already. */
export const UTC_CLOCK: Clock = clockIn('UTC', USUAL_DISPLAY);
