declare module 'psychrolib' {
  export const SI: unknown;
  export function SetUnitSystem(system: unknown): void;
  export function GetSatVapPres(temperatureC: number): number;
  export function GetHumRatioFromRelHum(
    temperatureC: number,
    relativeHumidity: number,
    pressurePa: number,
  ): number;
  export function GetTWetBulbFromRelHum(
    temperatureC: number,
    relativeHumidity: number,
    pressurePa: number,
  ): number;
}
