'use client';
import { figures } from '@/core/materials/amount-words';
import type { MixedBatch } from '@/core/materials/mix/mix';
import { mixFor, mixSentence, type ShareMeaning } from '@/core/materials/mix/mix';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { counted } from '@/core/words/plural';
import { useAmountWords } from '@/features/frame/use-garden-units';
import type { FieldOf } from '@/ui/fields/form-fields';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { useForm } from '@/ui/fields/use-form';
import { TableHead } from '@/ui/TableHead';
import { WideTable } from '@/ui/WideTable';
import type { ReadAmount } from './read-amount';
import { readAmount, readNumber } from './read-amount';
import { Sum } from './Sum';

const EXAMPLES = {
  uk: { recipe: 'potting mix 2, 40 l, 8.50\nbark 1, 60 l, 11\nloam 1', each: '10 l' },
  us: { recipe: 'potting mix 2, 1.5 cu ft, 8.50\nbark 1, 2 cu ft, 11\nloam 1', each: '2.5 gal' },
} as const;

interface MixSumValues {
  readonly recipe: string;
  readonly meaning: ShareMeaning;
  readonly pots: string;
  readonly each: string;
  readonly settling: string;
}

/** Parts or percent to litres, bags and money for so many pots. */
export function MixSum({ system }: { readonly system: MeasureSystem }) {
  const inUnits = useAmountWords();
  const { form, field } = useForm<MixSumValues>({
    ...EXAMPLES[system],
    meaning: 'parts',
    pots: '12',
    settling: '10',
  });
  const { recipe, meaning, pots, each, settling } = form;
  const read = readRecipe(recipe, system);
  const [count, size, down] = [
    readNumber(pots, 1, 500),
    readAmount(each, 'volume', system),
    readNumber(settling, 0, 60),
  ];
  const mix =
    read.components && count.base !== undefined && size.base !== undefined
      ? mixFor({
          components: read.components,
          meaning,
          containers: count.base,
          litresEach: size.base / 1000,
          settling: (down.base ?? 0) / 100,
          waste: 0.05,
        })
      : null;
  return (
    <Sum
      title="A mix"
      lead="A line for each part: its name, how many parts or percent, and if you like what a bag holds and costs."
    >
      <TextField label="What goes in" {...field('recipe')} isLong trouble={read.trouble} />
      <MixFields field={field} count={count} size={size} down={down} />
      {mix && !mix.ok && (
        <p role="alert">
          <b>{mixSentence(mix.trouble)}</b>
        </p>
      )}
      {mix?.ok && (
        <>
          <output>
            {inUnits(mix.value.mixedL * 1000, 'volume')} loose
            {mix.value.costEach === null ? '' : `, ${mix.value.costEach.toFixed(2)} a pot`}
          </output>
          <PartTable mix={mix.value} />
        </>
      )}
    </Sum>
  );
}

function PartTable({ mix }: { readonly mix: MixedBatch }) {
  const inUnits = useAmountWords();
  return (
    <WideTable label="The mix">
      <TableHead of={['part', 'loose', 'of the whole', 'bags']} />
      <tbody>
        {mix.parts.map(part => (
          <tr key={part.name}>
            <th scope="row">{part.name}</th>
            <td>{inUnits(part.litres * 1000, 'volume')}</td>
            <td>{figures(part.percentOfTotal)}%</td>
            <td>
              {part.bags === null
                ? ''
                : `${counted(part.bags, 'bag')}, ${inUnits((part.leftL ?? 0) * 1000, 'volume')} left`}
            </td>
          </tr>
        ))}
      </tbody>
    </WideTable>
  );
}

interface MixFieldsProps {
  readonly field: FieldOf<MixSumValues>;
  readonly count: ReadAmount;
  readonly size: ReadAmount;
  readonly down: ReadAmount;
}

function MixFields({ field, count, size, down }: MixFieldsProps) {
  return (
    <div data-fields>
      <Select
        label="The numbers are"
        {...field('meaning')}
        options={[
          { value: 'parts', label: 'parts of the whole' },
          { value: 'of-total', label: 'percent of the whole; the first fills up' },
          { value: 'on-top', label: 'percent on top of the first' },
        ]}
      />
      <TextField
        label="For so many pots"
        {...field('pots')}
        trouble={count.trouble}
        inputMode="numeric"
      />
      <TextField label="of" {...field('each')} trouble={size.trouble} />
      <TextField
        label="It settles by, %"
        {...field('settling')}
        trouble={down.trouble}
        inputMode="numeric"
      />
    </div>
  );
}

interface ReadRecipe {
  readonly components: Parameters<typeof mixFor>[0]['components'] | undefined;
  readonly trouble: string | undefined;
}

function readRecipe(recipe: string, system: MeasureSystem): ReadRecipe {
  const components: {
    name: string;
    share: number;
    bagL: number | null;
    bagPrice: number | null;
  }[] = [];
  for (const line of recipe
    .split('\n')
    .map(each => each.trim())
    .filter(each => each !== '')) {
    const [first = '', bag = '', price = ''] = line.split(/,\s+/);
    const named = /^(.+?)\s+(\d+(?:[.,]\d+)?)\s*%?$/.exec(first.trim());
    const size = readAmount(bag, 'volume', system);
    const cost = readNumber(price, 0, 10_000);
    const trouble = !named ? `“${line}”: a name, then a number.` : (size.trouble ?? cost.trouble);
    if (!named || trouble !== undefined) return { components: undefined, trouble };
    components.push({
      name: named[1] ?? '',
      share: Number((named[2] ?? '').replace(',', '.')),
      bagL: size.base === undefined ? null : size.base / 1000,
      bagPrice: cost.base ?? null,
    });
  }
  return { components, trouble: undefined };
}
