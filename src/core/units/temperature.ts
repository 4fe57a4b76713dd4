/** Degrees Fahrenheit from degrees Celsius (exact by definition of the scales). */
export const fahrenheitFromCelsius = (celsius: number): number => (celsius * 9) / 5 + 32;

/** Degrees Celsius from degrees Fahrenheit. */
export const celsiusFromFahrenheit = (fahrenheit: number): number => ((fahrenheit - 32) * 5) / 9;
