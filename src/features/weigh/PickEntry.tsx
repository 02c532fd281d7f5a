'use client';
import { type FormEvent, type KeyboardEvent, useState } from 'react';
import { styled } from 'styled-components';
import { longDay, shortDay } from '@/core/time/days';
import { CullReason, type Outcome } from '@/core/trial/model/pick';
import type { BenchUnit } from '@/features/bench/bench-view';
import { Button } from '@/ui/Button';
import { BareInput } from '@/ui/fields/BareInput';
import { Choice } from '@/ui/fields/Choice';
import { TextField } from '@/ui/fields/TextField';
import { Acts, Soft } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';
import { NumberFields, RoundFields } from './PickFields';
import type { PickDraft } from './pick-draft';
import { pickWords } from './pick-draft';
import type { PickEntryProps } from './pick-entry-props';
import type { useRound } from './use-round';

type Round = ReturnType<typeof useRound>;

const OUTCOMES: readonly { readonly value: Outcome; readonly label: string }[] = [
  { value: 'picked', label: 'picked' },
  { value: 'nothing-there', label: 'nothing to pick' },
  { value: 'not-looked', label: 'not looked at' },
  { value: 'dead', label: 'dead' },
  { value: 'gone', label: 'gone' },
];

const OUTCOME_HINTS = {
  picked: null,
  'nothing-there': 'Counts as zero: it was looked at, and gave nothing.',
  'not-yet': 'Counts as zero so far.',
  'not-looked': 'Stays missing: it is neither zero nor dead.',
  dead: 'What it gave until now stands. The verdict will say that it died.',
  gone: 'What it gave until now stands. Say under “A mishap” what became of it.',
} as const satisfies Record<Outcome, string | null>;

/** One pick: Enter saves it and goes on to the next pot. */
export function PickEntry(props: PickEntryProps) {
  const { round, measure, unitWord, today, lastPick, ripeRule } = props;
  const { draft, change, fields, round: held, keepRound } = round;
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    round.save(true);
  };
  return (
    // A dialog's method: before its script is there, Enter must not send what is typed into the address.
    <Sheet method="dialog" autoComplete="off" onSubmit={submit} noValidate>
      <InHand {...props} />
      {draft.outcome === 'picked' && (
        <NumberFields
          isPieceByPiece={held.mode === 'piece'}
          draft={draft}
          change={change}
          fields={fields}
          grossRef={props.grossRef}
          held={held}
          keepRound={keepRound}
        />
      )}
      {lastPick && (
        <Soft>
          Last time, {shortDay(lastPick.pickedOn)}: <b>{pickWords(lastPick, round.style)}</b>
        </Soft>
      )}
      <SaveActs round={round} unitWord={unitWord} />
      <WhatWasFound round={round} />
      <RoundFields held={held} keepRound={keepRound} fields={fields} today={today} />
      <TextField
        label="Note"
        name="note"
        value={draft.note}
        onChange={note => change({ note })}
        trouble={fields.note}
      />
      <Soft>
        {measure.name}: {measure.definition} Each {unitWord} counts once, however often it is
        picked.{ripeRule === '' ? '' : ` Ripe: ${ripeRule}`}
      </Soft>
    </Sheet>
  );
}

/** Which pot it is, and which old entry, where one is being changed. */
function InHand({ round, unit, units, isDoneToday }: PickEntryProps) {
  return (
    <>
      <Where>
        <CodeField key={unit.id} unit={unit} units={units} onFound={round.choose} />
        <p>
          {unit.where}
          <br />
          <span>
            {units.indexOf(unit) + 1} of {units.length}
            {isDoneToday ? `, has a pick of ${shortDay(round.round.pickedOn)}` : ''}
          </span>
        </p>
      </Where>
      {round.editing && (
        <Soft>
          You are changing the pick of {longDay(round.editing.pickedOn)}:{' '}
          {pickWords(round.editing, round.style)}. The old one stays in the history.{' '}
          <Button data-tone="quiet" onPress={round.stopEditing}>
            Leave it as it is
          </Button>
        </Soft>
      )}
    </>
  );
}

interface SaveActsProps {
  readonly round: Round;
  readonly unitWord: string;
}

function SaveActs({ round, unitWord }: SaveActsProps) {
  return (
    <>
      <Acts>
        <Button data-tone="main" type="submit" isPending={round.isPending}>
          {saveWords(round, unitWord)}
        </Button>
        <Button data-tone="quiet" onPress={() => void round.undo()} isDisabled={!round.canUndo}>
          Undo
        </Button>
      </Acts>
      <Said role="status">{round.said}</Said>
      {round.sentence && <Trouble>{round.sentence}</Trouble>}
      {round.fields.form && <Trouble>{round.fields.form}</Trouble>}
      {round.fields.again && <Trouble>{round.fields.again}</Trouble>}
    </>
  );
}

/** Picked, nothing there, dead; and of what was picked its grade. */
function WhatWasFound({ round }: { readonly round: Round }) {
  const { draft, change, fields } = round;
  const isPicked = draft.outcome === 'picked';
  return (
    <>
      <Choice
        label="Found"
        name="outcome"
        value={draft.outcome}
        onChange={outcome => change({ outcome })}
        options={OUTCOMES}
        direction="row"
      />
      {OUTCOME_HINTS[draft.outcome] && <Soft>{OUTCOME_HINTS[draft.outcome]}</Soft>}
      {isPicked && <GradeChoice draft={draft} change={change} />}
      {isPicked && draft.grade === 'cull' && (
        <CullChoice draft={draft} change={change} fields={fields} />
      )}
    </>
  );
}

interface CullChoiceProps {
  readonly draft: PickDraft;
  readonly change: (changes: Partial<PickDraft>) => void;
  readonly fields: Readonly<Record<string, string>>;
}

function CullChoice({ draft, change, fields }: CullChoiceProps) {
  return (
    <Choice
      label="Why"
      name="cullReason"
      value={draft.cullReason ?? 'none'}
      onChange={reason => change({ cullReason: CullReason.safeParse(reason).data ?? null })}
      options={CullReason.options.map(value => ({ value, label: value }))}
      trouble={fields.cullReason}
      direction="row"
    />
  );
}

interface GradeChoiceProps {
  readonly draft: PickDraft;
  readonly change: (changes: Partial<PickDraft>) => void;
}

function GradeChoice({ draft, change }: GradeChoiceProps) {
  return (
    <Choice
      label="Grade"
      name="grade"
      value={draft.grade}
      onChange={grade => change({ grade, cullReason: grade === 'sound' ? null : draft.cullReason })}
      options={[
        { value: 'sound', label: 'sound' },
        { value: 'cull', label: 'cull' },
      ]}
      direction="row"
    />
  );
}

function saveWords(round: Round, unitWord: string): string {
  if (round.editing) return 'Save the change';
  if (
    round.round.mode === 'strip' &&
    round.draft.grade === 'sound' &&
    round.draft.outcome !== 'dead'
  )
    return 'Save, then its green';
  return round.round.mode === 'piece' ? 'Save this piece' : `Save, next ${unitWord}`;
}

/** The pot's code, very large; typing another code takes that pot in hand. */
function CodeField({
  unit,
  units,
  onFound,
}: {
  readonly unit: BenchUnit;
  readonly units: readonly BenchUnit[];
  readonly onFound: (id: string) => void;
}) {
  const [typed, setTyped] = useState(unit.code);
  const change = (written: string): void => {
    setTyped(written.toUpperCase());
    const found = units.find(candidate => candidate.code === written.trim().toUpperCase());
    if (found) onFound(found.id);
  };
  // Enter in the code must not save a pick: the hand is still looking for the pot.
  const stop = (event: KeyboardEvent): void => {
    if (event.key === 'Enter') event.preventDefault();
  };
  return (
    <Code>
      <BareInput
        aria-label="Code in hand"
        value={typed}
        onChange={change}
        onFocus={event => event.target.select()}
        onBlur={() => setTyped(unit.code)}
        onKeyDown={stop}
        maxLength={8}
        autoComplete="off"
        autoCapitalize="characters"
        spellCheck={false}
      />
    </Code>
  );
}

const Sheet = styled.form`
  display: grid; gap: 14px;
  & [data-numbers] { display: grid; grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr) minmax(0, 1fr); gap: 16px; align-items: start; }
  & [data-round] { display: grid; grid-template-columns: 1fr 1.4fr; gap: 24px; align-items: start; }
  @media (max-width: 640px) {
    & [data-numbers] { grid-template-columns: 1.5fr 1fr; }
    & [data-round] { grid-template-columns: minmax(0, 1fr); gap: 12px; }
    & button[type='submit'] { flex: 1; min-height: 64px; font-size: 1.25rem; }
  }
`;

const Where = styled.div`
  display: flex; gap: 20px; align-items: center;
  & p { line-height: 1.35; }
  & p span { color: var(--ink-soft); }
`;

const Code = styled.span`
  & input {
    font-family: var(--font-heading), sans-serif; font-weight: 750; font-size: 3.5rem; line-height: 1; width: 3.6ch; border: 0; background: none; padding: 0; border-bottom: 2px solid transparent;
    font-feature-settings: 'zero';
  }
  & input:hover, & input:focus { border-bottom-color: var(--rule-strong); }
`;

const Said = styled.p`
  min-height: 1.5em; color: var(--leaf); font-weight: 600;
`;
