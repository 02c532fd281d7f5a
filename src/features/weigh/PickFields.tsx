'use client';

import { Choice } from '@/ui/fields/Choice';
import { TextField } from '@/ui/fields/TextField';
import type { PickDraft, RoundDraft } from './pick-draft';
import type { PickEntryProps } from './pick-entry-props';

interface NumberFieldsProps {
  readonly isPieceByPiece: boolean;
  readonly draft: PickDraft;
  readonly change: (changes: Partial<PickDraft>) => void;
  readonly fields: Readonly<Record<string, string>>;
  readonly grossRef: PickEntryProps['grossRef'];
  readonly held: RoundDraft;
  readonly keepRound: (changes: Partial<RoundDraft>) => void;
}

export function NumberFields({
  isPieceByPiece,
  draft,
  change,
  fields,
  grossRef,
  held,
  keepRound,
}: NumberFieldsProps) {
  return (
    <div data-numbers>
      <TextField
        label={isPieceByPiece ? 'One piece, on the scale' : 'On the scale'}
        name="gross"
        value={draft.gross}
        onChange={gross => change({ gross })}
        trouble={fields.gross}
        isBig
        inputMode="decimal"
        inputRef={grossRef}
      />
      {!isPieceByPiece && (
        <TextField
          label="Pieces"
          name="pieces"
          value={draft.pieces}
          onChange={pieces => change({ pieces })}
          trouble={fields.pieces}
          isBig
          inputMode="numeric"
        />
      )}
      <TextField
        label="Empty container"
        name="tare"
        value={held.tare}
        onChange={tare => keepRound({ tare })}
        trouble={fields.tare}
        inputMode="decimal"
        hint="taken off each time"
      />
    </div>
  );
}

interface RoundFieldsProps {
  readonly held: RoundDraft;
  readonly keepRound: (changes: Partial<RoundDraft>) => void;
  readonly fields: Readonly<Record<string, string>>;
  readonly today: PickEntryProps['today'];
}

export function RoundFields({ held, keepRound, fields, today }: RoundFieldsProps) {
  return (
    <div data-round>
      <TextField
        label="Picked on"
        name="pickedOn"
        type="date"
        value={held.pickedOn}
        onChange={pickedOn => keepRound({ pickedOn })}
        trouble={fields.pickedOn}
        hint={held.pickedOn === today ? undefined : 'Not today.'}
      />
      <Choice
        label="Entering"
        name="mode"
        value={held.mode}
        onChange={mode => keepRound({ mode })}
        options={[
          { value: 'whole', label: 'a whole pick' },
          { value: 'piece', label: 'piece by piece' },
          { value: 'strip', label: 'the final clearing pick' },
        ]}
        direction="row"
      />
    </div>
  );
}
