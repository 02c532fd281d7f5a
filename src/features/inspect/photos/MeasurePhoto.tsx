'use client';

import { type PointerEvent, useState } from 'react';
import { styled } from 'styled-components';
import { printLength } from '@/core/quantity/print-quantity';
import type { Result } from '@/core/result';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { useSystem } from '@/features/frame/use-garden-units';
import { readAmount } from '@/features/shelf/sums/read-amount';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { TextField } from '@/ui/fields/TextField';
import { Soft } from '@/ui/Page';

interface MeasurePhotoProps {
  readonly source: string;
  readonly words: string;
  readonly ratio: number;
  readonly widthMm: number | null;
  /** @param share the marked stretch, as a share of the picture's width */
  readonly save: (share: number, mm: number) => Promise<Result<number, TrialTrouble>>;
}

/** Places in a picture, as shares of its width. */
interface Mark {
  readonly x: number;
  readonly y: number;
}

/** One picture, large; two touches mark a length that is known, and with it everything in it can be measured. */
export function MeasurePhoto({ source, words, ratio, widthMm, save }: MeasurePhotoProps) {
  const [marks, setMarks] = useState<readonly Mark[]>([]);
  const [written, setWritten] = useState('');
  const { trouble, fields, isPending, run } = useTrialAction();
  const says = Object.values(fields)[0] ?? (trouble && trialSentence(trouble));
  const system = useSystem();
  const length = readAmount(written, 'length', system, system === 'us' ? 'in' : 'mm');
  const [from, to] = marks;
  const share = from && to ? Math.hypot(to.x - from.x, to.y - from.y) : 1;
  const mark = (event: PointerEvent<SVGSVGElement>): void => {
    const box = event.currentTarget.getBoundingClientRect();
    const at = {
      x: (event.clientX - box.left) / box.width,
      y: (event.clientY - box.top) / box.width,
    };
    setMarks(marks.length === 1 ? [...marks, at] : [at]);
  };
  const submit = (): void => run(() => save(share, length.base ?? Number.NaN));
  return (
    <Large>
      <svg viewBox={`0 0 1 ${1 / ratio}`} role="img" aria-label={words} onPointerDown={mark}>
        <image href={source} width={1} height={1 / ratio} />
        {from && to && <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} />}
        {marks.map(each => (
          <circle key={`${each.x} ${each.y}`} cx={each.x} cy={each.y} r={0.008} />
        ))}
      </svg>
      <div>
        <b>{words}</b>
        <Soft>
          {widthMm === null
            ? 'Touch both ends of something you know the length of.'
            : from && to
              ? `Marked: ${printLength(share * widthMm, system)}.`
              : `The picture is ${printLength(widthMm, system)} wide. Two touches measure in it.`}
        </Soft>
        <TextField
          label={from && to ? 'Length of what is marked' : 'Width of the whole picture'}
          name="photoMm"
          value={written}
          onChange={setWritten}
          placeholder={system === 'us' ? '4 in' : '100 mm'}
          trouble={length.trouble ?? says}
        />
        <Button onPress={submit} isPending={isPending} isDisabled={length.base === undefined}>
          Take it as the scale
        </Button>
      </div>
    </Large>
  );
}

const Large = styled.div`
  display: grid; grid-template-columns: minmax(0, 2fr) minmax(200px, 1fr); gap: 20px; align-items: start;
  & svg { width: 100%; max-height: 70vh; background: var(--slate-deep); touch-action: manipulation; cursor: crosshair; }
  & line { stroke: var(--clay); stroke-width: 3; vector-effect: non-scaling-stroke; }
  & circle { fill: none; stroke: var(--clay); stroke-width: 3; vector-effect: non-scaling-stroke; }
  & > div { display: grid; gap: 10px; }
  @media (max-width: 640px) { grid-template-columns: minmax(0, 1fr); }
`;
