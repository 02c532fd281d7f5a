import { TextField as AriaTextField } from 'react-aria-components';
import { styled } from 'styled-components';

/** A labelled line: what it looks like, whatever is written on it. */
export const Field = styled(AriaTextField)`
  display: grid; gap: 4px; align-content: start;
  & label { font-weight: 600; font-size: 0.9375rem; }
  &[data-hides-label] label { position: absolute; clip-path: inset(50%); width: 1px; height: 1px; overflow: hidden; white-space: nowrap; }
  & input, & textarea {
    width: 100%; min-height: 40px; padding: 6px 10px; background: var(--paper); border: 0; border-bottom: 2px solid var(--rule-strong); border-radius: 2px 2px 0 0; resize: vertical;
  }
  & input[data-big] { font-family: var(--font-heading), sans-serif; font-size: 2.5rem; font-weight: 650; line-height: 1.1; padding-block: 4px; }
  & input::placeholder { color: var(--ink-soft); opacity: 1; }
  &[data-invalid] input, &[data-invalid] textarea { border-color: var(--beet); }
  &[data-readonly] input, &[data-readonly] textarea { background: none; border-color: var(--rule); }
  & [slot='description'] { color: var(--ink-soft); font-size: 0.9375rem; max-width: var(--measure); }
  & .react-aria-FieldError { color: var(--beet); font-weight: 600; font-size: 0.9375rem; white-space: pre-line; }
  @media (pointer: coarse) { & input { min-height: 48px; } }
`;
