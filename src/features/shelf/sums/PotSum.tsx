'use client';
import { amountWords, figures } from '@/core/materials/amount-words';
import { circleM2, containerMl } from '@/core/materials/mix/container-volume';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { Select } from '@/ui/Select';
import { TextField } from '@/ui/TextField';
import { useForm } from '@/ui/use-form';
import { readAmount } from './read-amount';
import { Sum } from './Sum';

/** What a pot, tub or box really holds. */
export function PotSum({ system }: { readonly system: MeasureSystem }) {
  const unit = system === 'us' ? 'in' : 'cm';
  const { form, field } = useForm<{
    readonly shape: 'round' | 'box';
    readonly top: string;
    readonly bottom: string;
    readonly depth: string;
  }>({
    shape: 'round',
    top: system === 'us' ? '12 in' : '30 cm',
    bottom: system === 'us' ? '9.5 in' : '24 cm',
    depth: system === 'us' ? '11 in' : '28 cm',
  });
  const { shape, top, bottom, depth } = form;
  const [t, b, d] = [top, bottom, depth].map(each => readAmount(each, 'length', system, unit)) as [
    ReturnType<typeof readAmount>,
    ReturnType<typeof readAmount>,
    ReturnType<typeof readAmount>,
  ];
  const ml =
    t.base === undefined || b.base === undefined || d.base === undefined
      ? undefined
      : shape === 'round'
        ? containerMl({ shape: 'frustum', topMm: t.base, bottomMm: b.base, depthMm: d.base })
        : containerMl({ shape: 'box', lengthMm: t.base, widthMm: b.base, depthMm: d.base });
  return (
    <Sum
      title="A pot"
      lead="By its inner measures, up to the line it is filled to. The size on its rim is only a name."
    >
      <div data-fields>
        <Select
          label="It is"
          {...field('shape')}
          options={[
            { value: 'round', label: 'round' },
            { value: 'box', label: 'a box or trough' },
          ]}
        />
        <TextField
          label={shape === 'round' ? 'Across at the top' : 'Long'}
          {...field('top')}
          trouble={t.trouble}
        />
        <TextField
          label={shape === 'round' ? 'at the bottom' : 'wide'}
          {...field('bottom')}
          trouble={b.trouble}
        />
        <TextField label="filled deep" {...field('depth')} trouble={d.trouble} />
      </div>
      {ml !== undefined && (
        <output>
          {amountWords(ml, 'volume')}
          {shape === 'round' && t.base !== undefined
            ? `, ${figures(circleM2(t.base))} m² open`
            : ''}
        </output>
      )}
    </Sum>
  );
}
