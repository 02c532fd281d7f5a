'use client';

import { styled } from 'styled-components';
import { Keypad } from './Keypad';
import { TapCounter } from './TapCounter';
import type { Walking } from './use-walk';

/** What a value is put down with: keys, steps, yes and no, a day, a counter; by the measure's scale. */
export function ValueEntry({ walk }: { readonly walk: Walking }) {
  const { measure, typed, type, save, day } = walk;
  if (!measure) return null;
  const { scale } = measure;
  switch (scale.kind) {
    case 'yes-no':
      return (
        <Choices>
          <button type="button" onClick={() => void save('picked', 'yes')}>
            Yes
          </button>
          <button type="button" onClick={() => void save('picked', 'no')}>
            No
          </button>
        </Choices>
      );
    case 'class':
      return (
        <Choices>
          {scale.classes.map(name => (
            <button key={name} type="button" onClick={() => void save('picked', name)}>
              {name}
            </button>
          ))}
        </Choices>
      );
    case 'date':
      return (
        <Choices>
          <button type="button" onClick={() => void save('picked', day)}>
            It came today
          </button>
          <button type="button" onClick={() => void save('not-looked')}>
            Not yet
          </button>
        </Choices>
      );
    case 'ordinal':
      return (
        <Choices data-steps>
          {scale.hasBeyond && (
            <button type="button" onClick={() => void save('picked', '<')}>
              below it
            </button>
          )}
          {scale.steps.map((step, i) => (
            <button
              key={step}
              type="button"
              aria-pressed={typed === String(scale.from + i)}
              onClick={() => type(String(scale.from + i))}
            >
              <b>{scale.from + i}</b>
              {step === String(scale.from + i) ? '' : ` ${step}`}
            </button>
          ))}
          <button
            type="button"
            disabled={
              typed === '' ||
              typed.endsWith('.5') ||
              Number(typed) >= scale.from + scale.steps.length - 1
            }
            onClick={() => type(`${typed}.5`)}
          >
            and a half
          </button>
          {scale.hasBeyond && (
            <button type="button" onClick={() => void save('picked', '+')}>
              beyond it
            </button>
          )}
        </Choices>
      );
    case 'count':
      return <TapCounter key={`${walk.here} ${measure.id}`} value={typed} onCount={type} />;
    default:
      return (
        <Keypad
          value={typed}
          onType={type}
          extra={scale.kind === 'proportion' ? '/' : scale.kind === 'rank' ? null : '.'}
        />
      );
  }
}

const Choices = styled.div`
  display: grid; grid-template-columns: repeat(2, 1fr); gap: 8px;
  &[data-steps] { grid-template-columns: repeat(3, 1fr); }
  & button { min-height: 56px; border: 1px solid var(--rule-strong); border-radius: 2px; background: var(--paper); color: var(--ink); font: inherit; cursor: pointer; touch-action: manipulation; }
  & button[aria-pressed='true'] { border-color: var(--clay); box-shadow: inset 0 0 0 2px var(--clay); }
  & button:disabled { color: var(--ink-soft); background: var(--slate-deep); }
  & button:focus-visible { outline: 3px solid var(--clay); outline-offset: 2px; }
`;
