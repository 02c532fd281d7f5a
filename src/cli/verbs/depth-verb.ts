import { parseArgs } from 'node:util';
import { amount, systemOf } from '@/cli/amount';
import { refuse } from '@/cli/refuse';
import { layerOf } from '@/core/materials/mix/depth';

export const DEPTH_HELP = `turnspit depth --length "36 in" --width "36 in" --depth "3 in" [--bag "1.5 cu ft"] [--json]
Litres and bags for a layer of mulch, compost or mix.
  --area A         instead of --length and --width
  --bag V          what a bag holds
  --json           {"volumeL","bags","bagsExact"}; bags are null without --bag`;

/** `turnspit depth`. */
export function depthVerb(args: readonly string[]): void {
  const { values } = parseArgs({
    args: [...args],
    options: {
      length: { type: 'string' },
      width: { type: 'string' },
      area: { type: 'string' },
      depth: { type: 'string' },
      bag: { type: 'string' },
      system: { type: 'string' },
      json: { type: 'boolean', default: false },
    },
  });
  const system = systemOf(values.system);
  const areaM2 =
    values.area === undefined
      ? (amount(values.length, '--length', 'length') * amount(values.width, '--width', 'length')) /
        1e6
      : amount(values.area, '--area', 'area');
  const bagMl = values.bag === undefined ? null : amount(values.bag, '--bag', 'volume', system);
  if (bagMl === 0) refuse('--bag must hold something.');
  const { volumeMl, bags, bagsExact } = layerOf(
    areaM2,
    amount(values.depth, '--depth', 'length'),
    bagMl,
  );
  const printed = { volumeL: volumeMl / 1000, bags, bagsExact };
  process.stdout.write(
    values.json
      ? `${JSON.stringify(printed)}\n`
      : `${Number(printed.volumeL.toPrecision(4))} l${bags === null ? '' : `, ${bags} bag${bags === 1 ? '' : 's'} (${Number((bagsExact ?? 0).toPrecision(3))})`}\n`,
  );
}
