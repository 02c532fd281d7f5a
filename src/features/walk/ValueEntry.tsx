'use client';

import type { ReactNode } from 'react';
import { styled } from 'styled-components';
import type { Scale } from '@/core/trial/model/scale';
import { BareButton } from '@/ui/BareButton';
import { Keypad } from './Keypad';
import { TapCounter } from './TapCounter';
import type { Walking } from './use-walk';

/** What a value is put down with: keys, steps, yes and no, a day, a counter; by the measure's scale. */
export function ValueEntry({ walk }: { readonly walk: Walking }) {
  const { measure, day } = walk;
  const { typed, type } = walk.entry;
  if (!measure) return null;
  const { scale } = measure;
  const put = (value: string): void => void walk.save('picked', value);
  switch (scale.kind) {
    case 'yes-no':
      return (
        <Choices>
          <Choose onPress={() => put('yes')}>Yes</Choose>
          <Choose onPress={() => put('no')}>No</Choose>
        </Choices>
      );
    case 'class':
      return (
        <Choices>
          {scale.classes.map(name => (
            <Choose key={name} onPress={() => put(name)}>
              {name}
            </Choose>
          ))}
        </Choices>
      );
    case 'date':
      return (
        <Choices>
          <Choose onPress={() => put(day)}>It came today</Choose>
          <Choose onPress={() => void walk.save('not-yet')}>Not yet</Choose>
        </Choices>
      );
    case 'days':
      return (
        <>
          <Keypad value={typed} onType={type} extra={null} />
          <Choices>
            <Choose onPress={() => void walk.save('not-yet', typed)}>
              {typed === '' ? 'Not yet: type for how many days' : `Not yet, after ${typed} days`}
            </Choose>
          </Choices>
        </>
      );
    case 'ordinal':
      return <Steps scale={scale} typed={typed} type={type} put={put} />;
    case 'count':
      return <TapCounter key={`${walk.here} ${measure.id}`} value={typed} onCount={type} />;
    case 'proportion':
      return <Keypad value={typed} onType={type} extra="/" />;
    case 'derived':
      return null; // worked out, never taken
    case 'rank':
      return <Keypad value={typed} onType={type} extra={null} />;
    case 'continuous':
    case 'percent':
      return <Keypad value={typed} onType={type} extra="." />;
  }
}

function Choose({
  children,
  onPress,
}: {
  readonly children: ReactNode;
  readonly onPress: () => void;
}) {
  return <BareButton onClick={onPress}>{children}</BareButton>;
}

interface StepsProps {
  readonly scale: Extract<Scale, { readonly kind: 'ordinal' }>;
  readonly typed: string;
  readonly type: (typed: string) => void;
  readonly put: (value: string) => void;
}

/** Steps in order, halves between them, and what lies beyond either end. */
function Steps({ scale, typed, type, put }: StepsProps) {
  const last = scale.from + scale.steps.length - 1;
  return (
    <Choices data-steps>
      {scale.hasBeyond && <Choose onPress={() => put('<')}>below it</Choose>}
      {scale.steps.map((step, i) => (
        <BareButton
          key={step}
          aria-pressed={typed === String(scale.from + i)}
          onClick={() => type(String(scale.from + i))}
        >
          <b>{scale.from + i}</b>
          {step === String(scale.from + i) ? '' : ` ${step}`}
        </BareButton>
      ))}
      <BareButton
        disabled={typed === '' || typed.endsWith('.5') || Number(typed) >= last}
        onClick={() => type(`${typed}.5`)}
      >
        and a half
      </BareButton>
      {scale.hasBeyond && <Choose onPress={() => put('+')}>beyond it</Choose>}
    </Choices>
  );
}

const Choices = styled.div`
  display: grid; grid-template-columns: repeat(2, 1fr); gap: 8px;
  &[data-steps] { grid-template-columns: repeat(3, 1fr); }
  & button { min-height: 56px; border: 1px solid var(--rule-strong); border-radius: 2px; background: var(--paper); color: var(--ink); font: inherit; cursor: pointer; touch-action: manipulation; }
  & button[aria-pressed='true'] { border-color: var(--clay); box-shadow: inset 0 0 0 2px var(--clay); }
  & button:disabled { color: var(--ink-soft); background: var(--slate-deep); }
  & button:focus-visible { outline: 3px solid var(--clay); outline-offset: 2px; }
`;
