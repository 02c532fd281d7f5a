'use client';

import { styled } from 'styled-components';

interface FilePickProps {
  /** What kind of file it is, as the button says it. */
  readonly label: string;
  /** What a browser offers to choose. */
  readonly accept: string;
  /** Called for each that was chosen, in their order. */
  readonly onFile: (file: File) => void;
  readonly takesSeveral?: boolean;
  readonly isDisabled?: boolean;
  /** On a phone the camera at the back comes up. */
  readonly usesCamera?: boolean;
}

/** Chooses a file of the device. The same one can be chosen again, put right in between. */
export function FilePick({
  label,
  accept,
  onFile,
  takesSeveral,
  isDisabled,
  usesCamera,
}: FilePickProps) {
  return (
    <Pick data-disabled={isDisabled || undefined}>
      <input
        type="file"
        accept={accept}
        capture={usesCamera ? 'environment' : undefined}
        disabled={isDisabled}
        multiple={takesSeveral}
        onChange={event => {
          for (const file of event.target.files ?? []) onFile(file);
          event.target.value = '';
        }}
      />
      {label}
    </Pick>
  );
}

const Pick = styled.label`
  position: relative; display: inline-flex; align-items: center; width: fit-content; min-height: 40px; padding: 8px 16px; border: 1px solid var(--rule-strong); border-radius: 2px; background: var(--paper); font-weight: 600; cursor: pointer;
  &:hover { border-color: var(--ink); }
  &:focus-within { outline: 3px solid var(--clay); outline-offset: 2px; }
  &[data-disabled] { color: var(--ink-soft); background: var(--slate-deep); border-color: var(--rule); cursor: default; }
  & input { position: absolute; inset: 0; opacity: 0; font-size: 0; cursor: inherit; }
  @media (pointer: coarse) { min-height: 48px; }
`;
