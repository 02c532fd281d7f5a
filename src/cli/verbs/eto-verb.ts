import { parseArgs } from 'node:util';
import { z } from 'zod';
import { maybeNumber, numberOption } from '@/cli/number-option';
import { option } from '@/cli/option';
import { refuse } from '@/cli/refuse';
import { type EtDay, hargreaves, penmanMonteith } from '@/core/weather/reference-et';

export const ETO_HELP = `turnspit eto --lat 50.8 --day 187 --tmax 21.5 --tmin 12.3 [--method fao56|hargreaves] [options] [--json]
Reference evapotranspiration of a day in mm, by FAO Irrigation and Drainage Paper 56 (Allen and others, 1998).
  --lat D          degrees, south below zero      --day N   day of the year
  --altitude M     metres (0)
  --rhmax, --rhmin in %; or --ea, vapour pressure in kPa; without either the night’s lowest temperature stands in
  --wind MS        m/s, at --wind-height metres (2); without it 2 m/s
  --sun H          hours of sunshine; or --rs, MJ/m2 and day; without either the day’s range of temperature stands in
  --g MJ           heat into the ground (0)
  --json           {"etoMm"}`;

/** `turnspit eto`. */
export function etoVerb(args: readonly string[]): void {
  const text = { type: 'string' } as const;
  const { values } = parseArgs({
    args: [...args],
    options: {
      method: text,
      lat: text,
      day: text,
      tmax: text,
      tmin: text,
      altitude: text,
      rhmax: text,
      rhmin: text,
      ea: text,
      wind: text,
      'wind-height': text,
      sun: text,
      rs: text,
      g: text,
      json: { type: 'boolean', default: false },
    },
  });
  const method = option(
    z.enum(['fao56', 'hargreaves']),
    values.method ?? 'fao56',
    '--method',
    'fao56 or hargreaves',
  );
  const percent = { least: 0, most: 100 };
  const day: EtDay = {
    latitude: numberOption(values.lat, '--lat', { least: -90, most: 90 }),
    dayOfYear: numberOption(values.day, '--day', { least: 1, most: 366 }),
    altitudeM: numberOption(values.altitude, '--altitude', {
      least: -500,
      most: 9000,
      otherwise: 0,
    }),
    tmaxC: numberOption(values.tmax, '--tmax', { least: -60, most: 60 }),
    tminC: numberOption(values.tmin, '--tmin', { least: -60, most: 60 }),
    rhMax: maybeNumber(values.rhmax, '--rhmax', percent),
    rhMin: maybeNumber(values.rhmin, '--rhmin', percent),
    vapourKPa: maybeNumber(values.ea, '--ea', { least: 0, most: 12 }),
    windMs: maybeNumber(values.wind, '--wind', { least: 0, most: 80 }),
    windHeightM: maybeNumber(values['wind-height'], '--wind-height', { least: 0.5, most: 200 }),
    sunHours: maybeNumber(values.sun, '--sun', { least: 0, most: 24 }),
    radiationMJ: maybeNumber(values.rs, '--rs', { least: 0, most: 50 }),
    soilHeatMJ: maybeNumber(values.g, '--g', { least: -20, most: 20 }),
  };
  if (day.tminC > day.tmaxC) refuse(`--tmin ${day.tminC} is above --tmax ${day.tmaxC}.`);
  const etoMm = method === 'hargreaves' ? hargreaves(day) : penmanMonteith(day);
  process.stdout.write(values.json ? `${JSON.stringify({ etoMm })}\n` : `${etoMm.toFixed(2)} mm\n`);
}
