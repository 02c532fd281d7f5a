import type { WeatherDay } from './weather-day';

/**
 * Reference evapotranspiration of short grass. Allen, Pereira, Raes & Smith (1998), FAO Irrigation and Drainage Paper 56;
 * equation numbers are theirs. Temperatures in °C, pressures in kPa, radiation in MJ/m² and day, water in mm a day.
 */

/** A day's weather as a station gives it. What is missing is worked out as the paper advises. */
export interface EtDay {
  /** Degrees, north above zero. */
  readonly latitude: number;
  /** Day of the year, 1 to 366. */
  readonly dayOfYear: number;
  readonly altitudeM: number;
  readonly tmaxC: number;
  readonly tminC: number;
  /** In %. Without humidity the air is taken to be saturated at the lowest temperature (eq. 48). */
  readonly rhMax?: number | undefined;
  readonly rhMin?: number | undefined;
  /** Vapour pressure, where it was measured. */
  readonly vapourKPa?: number | undefined;
  /** In m/s, at windHeightM; without it 2 m/s at 2 m. */
  readonly windMs?: number | undefined;
  readonly windHeightM?: number | undefined;
  readonly sunHours?: number | undefined;
  readonly radiationMJ?: number | undefined;
  /** Heat into the ground; 0 for a day. */
  readonly soilHeatMJ?: number | undefined;
}

const SOLAR_CONSTANT = 0.082; // MJ/m² and minute
const STEFAN_BOLTZMANN = 4.903e-9; // MJ/K⁴ m² and day
const ALBEDO = 0.23;
const INLAND = 0.16; // eq. 50, kRs
const LATENT = 0.408; // 1 / 2.45, mm a MJ (eq. 20)

/** Penman-Monteith (eq. 6). */
export function penmanMonteith(day: EtDay): number {
  const mean = (day.tmaxC + day.tminC) / 2;
  const slope = (4098 * saturationKPa(mean)) / (mean + 237.3) ** 2; // eq. 13
  const gamma = psychrometric(day.altitudeM);
  const saturated = (saturationKPa(day.tmaxC) + saturationKPa(day.tminC)) / 2; // eq. 12
  const actual = vapourPressure(day);
  const wind = day.windMs === undefined ? 2 : windAt2m(day.windMs, day.windHeightM ?? 2);
  const net = netRadiation(day, actual) - (day.soilHeatMJ ?? 0);
  const et =
    (LATENT * slope * net + gamma * (900 / (mean + 273)) * wind * (saturated - actual)) /
    (slope + gamma * (1 + 0.34 * wind));
  return Math.max(0, et);
}

/** From temperature alone (eq. 52). */
export function hargreaves({
  latitude,
  dayOfYear,
  tmaxC,
  tminC,
}: Pick<EtDay, 'latitude' | 'dayOfYear' | 'tmaxC' | 'tminC'>): number {
  const mean = (tmaxC + tminC) / 2;
  return Math.max(
    0,
    0.0023 *
      (mean + 17.8) *
      Math.sqrt(Math.max(0, tmaxC - tminC)) *
      extraterrestrial(latitude, dayOfYear) *
      LATENT,
  );
}

/** Saturation vapour pressure (eq. 11). */
export function saturationKPa(celsius: number): number {
  return 0.6108 * Math.exp((17.27 * celsius) / (celsius + 237.3));
}

/** eq. 7 and 8. */
export function psychrometric(altitudeM: number): number {
  return 0.000665 * atmosphericKPa(altitudeM);
}

/** eq. 7. */
export function atmosphericKPa(altitudeM: number): number {
  return 101.3 * ((293 - 0.0065 * altitudeM) / 293) ** 5.26;
}

/** Vapour pressure of the air: as measured, from humidity (eq. 17, 19), or from the night's lowest temperature (eq. 48). */
export function vapourPressure({ tmaxC, tminC, rhMax, rhMin, vapourKPa }: EtDay): number {
  if (vapourKPa !== undefined) return vapourKPa;
  if (rhMax !== undefined && rhMin !== undefined)
    return (saturationKPa(tminC) * (rhMax / 100) + saturationKPa(tmaxC) * (rhMin / 100)) / 2;
  const mean = rhMax ?? rhMin;
  return mean === undefined
    ? saturationKPa(tminC)
    : (mean / 100) * ((saturationKPa(tmaxC) + saturationKPa(tminC)) / 2);
}

/** Wind at 2 m from another height (eq. 47). */
export function windAt2m(windMs: number, heightM: number): number {
  return heightM === 2 ? windMs : (windMs * 4.87) / Math.log(67.8 * heightM - 5.42);
}

interface Sun {
  readonly declination: number;
  readonly sunsetAngle: number;
  readonly distance: number;
  readonly phi: number;
}

/** eq. 23 to 25. */
function sunAt(latitude: number, dayOfYear: number): Sun {
  const phi = (latitude * Math.PI) / 180;
  const turn = (2 * Math.PI * dayOfYear) / 365;
  const declination = 0.409 * Math.sin(turn - 1.39);
  const cosine = -Math.tan(phi) * Math.tan(declination);
  return {
    phi,
    declination,
    distance: 1 + 0.033 * Math.cos(turn),
    sunsetAngle: Math.acos(Math.min(1, Math.max(-1, cosine))),
  }; // beyond the polar circles: all day, or none
}

/** Radiation at the top of the air (eq. 21). */
export function extraterrestrial(latitude: number, dayOfYear: number): number {
  const { phi, declination, distance, sunsetAngle } = sunAt(latitude, dayOfYear);
  return (
    ((24 * 60) / Math.PI) *
    SOLAR_CONSTANT *
    distance *
    (sunsetAngle * Math.sin(phi) * Math.sin(declination) +
      Math.cos(phi) * Math.cos(declination) * Math.sin(sunsetAngle))
  );
}

/** Longest possible sunshine in hours (eq. 34). */
export function daylightHours(latitude: number, dayOfYear: number): number {
  return (24 / Math.PI) * sunAt(latitude, dayOfYear).sunsetAngle;
}

/** Radiation at the ground: measured, from sunshine (eq. 35), or from the day's range of temperature (eq. 50). */
export function solarRadiation({
  latitude,
  dayOfYear,
  radiationMJ,
  sunHours,
  tmaxC,
  tminC,
}: EtDay): number {
  if (radiationMJ !== undefined) return radiationMJ;
  const top = extraterrestrial(latitude, dayOfYear);
  const longest = daylightHours(latitude, dayOfYear);
  if (sunHours !== undefined) return (0.25 + 0.5 * (longest === 0 ? 0 : sunHours / longest)) * top;
  return Math.min(0.75 * top, INLAND * Math.sqrt(Math.max(0, tmaxC - tminC)) * top);
}

/** eq. 37 to 40. */
function netRadiation(day: EtDay, actualKPa: number): number {
  const incoming = solarRadiation(day);
  const clear = (0.75 + 2e-5 * day.altitudeM) * extraterrestrial(day.latitude, day.dayOfYear);
  const [hot, cold] = [(day.tmaxC + 273.16) ** 4, (day.tminC + 273.16) ** 4];
  const outgoing =
    STEFAN_BOLTZMANN *
    ((hot + cold) / 2) *
    (0.34 - 0.14 * Math.sqrt(actualKPa)) *
    (1.35 * (clear === 0 ? 1 : Math.min(1, incoming / clear)) - 0.35);
  return (1 - ALBEDO) * incoming - outgoing;
}

/** The day of the year, 1 for New Year's Day. */
export function dayOfYear(day: string): number {
  return (
    Math.round(
      (Date.parse(`${day}T00:00:00Z`) - Date.UTC(Number(day.slice(0, 4)), 0, 1)) / 86_400_000,
    ) + 1
  );
}

/** Where a station stands. */
export interface StationPlace {
  readonly latitude: number;
  readonly altitudeM: number;
}

/** Reference evapotranspiration of one day of the garden's record, in mm. */
export function etoOfDay(day: WeatherDay, { latitude, altitudeM }: StationPlace): number {
  return penmanMonteith({
    latitude,
    altitudeM,
    dayOfYear: dayOfYear(day.day),
    tmaxC: day.tmaxC,
    tminC: day.tminC,
    rhMax: day.rhMax ?? undefined,
    rhMin: day.rhMin ?? undefined,
    windMs: day.windMs ?? undefined,
    sunHours: day.sunHours ?? undefined,
  });
}
