'use client';
import { figures } from '@/core/materials/amount-words';
import { depthOfBags, layerOf } from '@/core/materials/mix/depth';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { useAmountWords } from '@/features/frame/use-garden-units';
import type { FieldOf } from '@/ui/fields/form-fields';
import { TextField } from '@/ui/fields/TextField';
import { useForm } from '@/ui/fields/use-form';
import { TableHead } from '@/ui/TableHead';
import { WideTable } from '@/ui/WideTable';
import type { ReadAmount } from './read-amount';
import { readAmount, readNumber } from './read-amount';
import { Sum } from './Sum';

interface LayerSumValues {
  readonly length: string;
  readonly width: string;
  readonly depths: string;
  readonly bag: string;
  readonly price: string;
}

/** Depths over an area to litres and bags, and back from whole bags to the depth that is really laid. */
export function LayerSum({ system }: { readonly system: MeasureSystem }) {
  const unit = system === 'us' ? 'in' : 'cm';
  const { form, field } = useForm<LayerSumValues>({
    length: system === 'us' ? '4 ft' : '120 cm',
    width: system === 'us' ? '3 ft' : '90 cm',
    depths: system === 'us' ? '1, 2, 4' : '2, 5, 8',
    bag: system === 'us' ? '1.5 cu ft' : '40 l',
    price: '6',
  });
  const { length, width, depths, bag, price } = form;
  const [l, w, b, p] = [
    readAmount(length, 'length', system, unit),
    readAmount(width, 'length', system, unit),
    readAmount(bag, 'volume', system),
    readNumber(price, 0, 10_000),
  ];
  const levels = depths
    .split(/[\s;]+|,(?!\d)|,(?=\d+(?:,|$))/)
    .filter(each => each !== '')
    .map(each => readAmount(each, 'length', system, unit));
  const bad = levels.find(level => level.trouble !== undefined)?.trouble;
  const areaM2 = l.base !== undefined && w.base !== undefined ? (l.base * w.base) / 1e6 : undefined;
  const shown = (mm: number): string =>
    system === 'us' ? `${figures(mm / 25.4)} in` : `${figures(mm / 10)} cm`;
  return (
    <Sum
      title="A layer"
      lead="Mulch, compost or mix by depth. With whole bags the depth is another: call the level by what was really laid."
    >
      <LayerFields field={field} l={l} w={w} unit={unit} bad={bad} b={b} p={p} />
      {areaM2 !== undefined && (
        <LevelTable levels={levels} areaM2={areaM2} b={b} shown={shown} p={p} />
      )}
    </Sum>
  );
}

interface LayerFieldsProps {
  readonly field: FieldOf<LayerSumValues>;
  readonly l: ReadAmount;
  readonly w: ReadAmount;
  readonly unit: 'in' | 'cm';
  readonly bad: string | undefined;
  readonly b: ReadAmount;
  readonly p: ReadAmount;
}

function LayerFields({ field, l, w, unit, bad, b, p }: LayerFieldsProps) {
  return (
    <div data-fields>
      <TextField label="The bed is long" {...field('length')} trouble={l.trouble} />
      <TextField label="and wide" {...field('width')} trouble={w.trouble} />
      <TextField label={`Depths, ${unit}`} {...field('depths')} trouble={bad} />
      <TextField label="A bag holds" {...field('bag')} trouble={b.trouble} />
      <TextField label="and costs" {...field('price')} trouble={p.trouble} inputMode="decimal" />
    </div>
  );
}

interface LevelTableProps {
  readonly levels: ReadAmount[];
  readonly areaM2: number;
  readonly b: ReadAmount;
  readonly shown: (mm: number) => string;
  readonly p: ReadAmount;
}

function LevelTable({ levels, areaM2, b, shown, p }: LevelTableProps) {
  const inUnits = useAmountWords();
  return (
    <WideTable label="The layers">
      <TableHead of={['depth', 'takes', 'bags', 'whole bags give', 'cost']} />
      <tbody>
        {levels.map((level, i) => {
          if (level.base === undefined) return null;
          const layer = layerOf(areaM2, level.base, b.base ?? null);
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: the same depth may be written twice
            <tr key={i}>
              <th scope="row">{shown(level.base)}</th>
              <td>{inUnits(layer.volumeMl, 'volume')}</td>
              <td>
                {layer.bags === null ? '' : `${layer.bags} (${figures(layer.bagsExact ?? 0)})`}
              </td>
              <td>
                {layer.bags === null || b.base === undefined
                  ? ''
                  : shown(depthOfBags(layer.bags, b.base, areaM2))}
              </td>
              <td>
                {layer.bags === null || p.base === undefined
                  ? ''
                  : (layer.bags * p.base).toFixed(2)}
              </td>
            </tr>
          );
        })}
      </tbody>
    </WideTable>
  );
}
