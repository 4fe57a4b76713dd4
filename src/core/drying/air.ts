/** Standard atmosphere at sea level, Pa. */
export const STANDARD_PRESSURE_PA = 101_325;

/** Specific gas constant of water vapour, J/(kg K). */
const VAPOUR_GAS_CONSTANT = 461.52;

/** Celsius to kelvin. */
export const kelvin = (temperatureC: number): number => temperatureC + 273.15;

/**
 * Saturation pressure over water, Pa, for 0 to 200 °C.
 *
 * @source Hyland & Wexler 1983, as in the ASHRAE Handbook Fundamentals, ch. 1
 * @example saturationPressurePa(20) // => 2339
 */
export function saturationPressurePa(temperatureC: number): number {
  const t = kelvin(temperatureC);
  return Math.exp(
    -5.8002206e3 / t +
      1.3914993 -
      4.8640239e-2 * t +
      4.1764768e-5 * t * t -
      1.4452093e-8 * t * t * t +
      6.5459673 * Math.log(t),
  );
}

/**
 * Saturation pressure over water, Pa, by the quick Magnus form used inside the time loop.
 *
 * @source Alduchov & Eskridge 1996, J. Appl. Meteorol. 35
 */
export const magnusPressurePa = (temperatureC: number): number =>
  610.94 * Math.exp((17.625 * temperatureC) / (temperatureC + 243.04));

/**
 * Density of saturated water vapour, kg/m³.
 *
 * @example 1000 * saturatedVapourDensity(20) // => 17.25
 */
export const saturatedVapourDensity = (temperatureC: number): number =>
  magnusPressurePa(temperatureC) / (VAPOUR_GAS_CONSTANT * kelvin(temperatureC));

/** Change of {@link saturatedVapourDensity} per kelvin, kg/(m³ K), from the density itself. */
export const saturatedDensitySlope = (temperatureC: number, densityKgM3: number): number =>
  densityKgM3 * ((17.625 * 243.04) / (temperatureC + 243.04) ** 2 - 1 / kelvin(temperatureC));

/**
 * Humidity ratio, kg water per kg dry air, of air at a relative humidity of 0 to 1.
 *
 * @example humidityRatio(22, 0.45) // => 0.007392
 */
export function humidityRatio(temperatureC: number, relativeHumidity: number): number {
  const vapourPa = relativeHumidity * saturationPressurePa(temperatureC);
  return (0.621945 * vapourPa) / (STANDARD_PRESSURE_PA - vapourPa);
}

/**
 * Thermodynamic wet-bulb temperature, °C, by bisection on the ASHRAE energy balance over liquid water
 * (also below 0 °C: the water in hair does not freeze there).
 *
 * @param ratio humidity ratio, kg/kg
 * @example wetBulbFromRatioC(22, humidityRatio(22, 0.45)) // => 14.67
 */
export function wetBulbFromRatioC(temperatureC: number, ratio: number): number {
  let low = -20;
  let high = temperatureC;
  while (high - low > 1e-6) {
    const wet = (low + high) / 2;
    const saturated = humidityRatio(wet, 1);
    const balance =
      ((2501 - 2.326 * wet) * saturated - 1.006 * (temperatureC - wet)) /
      (2501 + 1.86 * temperatureC - 4.186 * wet);
    if (balance > ratio) high = wet;
    else low = wet;
  }
  return (low + high) / 2;
}

/** Transport properties of moist room air at a film temperature. */
export interface AirProperties {
  readonly densityKgM3: number;
  readonly viscosityM2S: number;
  readonly conductivityWMK: number;
  readonly diffusivityM2S: number;
}

/** Specific heat of air, J/(kg K). */
export const AIR_HEAT_CAPACITY = 1006;
/** Prandtl number of air. */
export const AIR_PRANDTL = 0.71;

/** Properties of air at `filmC` (ideal gas; Sutherland viscosity; power laws for k and D_v). */
export function airProperties(filmC: number): AirProperties {
  const t = kelvin(filmC);
  const densityKgM3 = 353.05 / t;
  return {
    densityKgM3,
    viscosityM2S: (1.458e-6 * t ** 1.5) / (t + 110.4) / densityKgM3,
    conductivityWMK: 0.02414 * (t / 273.15) ** 0.85,
    diffusivityM2S: vapourDiffusivity(filmC),
  };
}

/** Diffusivity of water vapour in air, m²/s. */
export const vapourDiffusivity = (temperatureC: number): number =>
  2.26e-5 * (kelvin(temperatureC) / 273.15) ** 1.81;

const TABLE_FROM_C = -30;
const TABLE_TO_C = 110;

/** A property of air by linear interpolation between rows, for the time loop; held at its ends outside them. */
function tabled(
  property: (temperatureC: number) => number,
  rowsPerK: number,
): (temperatureC: number) => number {
  const last = (TABLE_TO_C - TABLE_FROM_C) * rowsPerK;
  const rows = Float64Array.from({ length: last + 2 }, (_, i) => property(TABLE_FROM_C + i / rowsPerK));
  return (temperatureC) => {
    const at = Math.min(last, Math.max(0, (temperatureC - TABLE_FROM_C) * rowsPerK));
    const below = Math.floor(at);
    const first = rows[below]!;
    return first + (at - below) * (rows[below + 1]! - first);
  };
}

/** {@link vapourDiffusivity}, within 2e-5. */
export const quickVapourDiffusivity = tabled(vapourDiffusivity, 1);
/** {@link saturatedVapourDensity}, within 2e-5. */
export const quickSaturatedDensity = tabled(saturatedVapourDensity, 8);
