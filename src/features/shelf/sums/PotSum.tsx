'use client';
import { circleM2, containerMl } from '@/core/materials/mix/container-volume';
import { printArea } from '@/core/quantity/print-quantity';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { useAmountWords } from '@/features/frame/use-garden-units';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { useForm } from '@/ui/fields/use-form';
import { readAmount } from './read-amount';
import { Sum } from './Sum';

type Shape = 'round' | 'box';
const SHAPES = [
  { value: 'round', label: 'round' },
  { value: 'box', label: 'a box or trough' },
] as const;
const WORDS: Readonly<Record<Shape, { readonly top: string; readonly bottom: string }>> = {
  round: { top: 'Across at the top', bottom: 'at the bottom' },
  box: { top: 'Long', bottom: 'wide' },
};
const USUAL = {
  us: { top: '12 in', bottom: '9.5 in', depth: '11 in' },
  uk: { top: '30 cm', bottom: '24 cm', depth: '28 cm' },
} as const;

interface PotSumValues {
  readonly shape: Shape;
  readonly top: string;
  readonly bottom: string;
  readonly depth: string;
}

/** What a pot, tub or box really holds. */
export function PotSum({ system }: { readonly system: MeasureSystem }) {
  const inUnits = useAmountWords();
  const { form, field } = useForm<PotSumValues>({ shape: 'round', ...USUAL[system] });
  const { shape } = form;
  const length = (written: string) =>
    readAmount(written, 'length', system, system === 'us' ? 'in' : 'cm');
  const [top, bottom, depth] = [length(form.top), length(form.bottom), length(form.depth)];
  const ml = contentMl(shape, top.base, bottom.base, depth.base);
  return (
    <Sum
      title="A pot"
      lead="By its inner measures, up to the line it is filled to. The size on its rim is only a name."
    >
      <div data-fields>
        <Select label="It is" {...field('shape')} options={SHAPES} />
        <TextField label={WORDS[shape].top} {...field('top')} trouble={top.trouble} />
        <TextField label={WORDS[shape].bottom} {...field('bottom')} trouble={bottom.trouble} />
        <TextField label="filled deep" {...field('depth')} trouble={depth.trouble} />
      </div>
      {ml !== undefined && (
        <output>
          {inUnits(ml, 'volume')}
          {shape === 'round' && top.base !== undefined
            ? `, ${printArea(circleM2(top.base), system)} open`
            : ''}
        </output>
      )}
    </Sum>
  );
}

function contentMl(
  shape: Shape,
  topMm: number | undefined,
  bottomMm: number | undefined,
  depthMm: number | undefined,
): number | undefined {
  if (topMm === undefined || bottomMm === undefined || depthMm === undefined) return undefined;
  return shape === 'round'
    ? containerMl({ shape: 'frustum', topMm, bottomMm, depthMm })
    : containerMl({ shape: 'box', lengthMm: topMm, widthMm: bottomMm, depthMm });
}
