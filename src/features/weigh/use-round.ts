'use client';

import { useRef, useState } from 'react';
import { MASS_STYLE_FOR, writeAmount } from '@/core/quantity/print-quantity';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { failure, type Result } from '@/core/result';
import type { Pick } from '@/core/trial/model/pick';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import type { BenchUnit } from '@/features/bench/bench-view';
import { writerName } from '@/features/frame/writer-name';
import { answerOf } from '@/ui/actions/use-action';
import { useDraft } from '@/ui/fields/use-draft';
import { useFirstWrong } from '@/ui/fields/use-first-wrong';
import { useUndoKey } from '@/ui/use-undo-key';
import { EMPTY_PICK, GREEN_PICK, pickWords, type RoundDraft, readRoundDraft } from './pick-draft';
import { usePickForm } from './use-pick-form';
import { isDone, nextUnit, useUnitInHand } from './use-unit-in-hand';
import { oddity, oddityWords } from './weigh-sums';

type Answer = Promise<Result<Pick, TrialTrouble>>;

export interface RoundActions {
  readonly take: (input: unknown) => Answer;
  readonly remove: (pickId: string, by: string) => Answer;
  readonly undoRevision: (revisionId: string, by: string) => Answer;
}

/** What the server says to a pick; where no answer comes, that it did not. */
async function answered(ask: () => Answer): Answer {
  return (await answerOf(ask, { kind: 'no-answer' as const })) ?? failure({ kind: 'no-answer' });
}

type SetTrouble = (trouble: TrialTrouble | undefined) => void;

interface RoundPlan extends RoundActions {
  readonly trialId: string;
  readonly units: readonly BenchUnit[];
  readonly picks: readonly Pick[];
  readonly system: MeasureSystem;
  readonly today: string;
  /** The code on a label that was scanned: that unit is in hand first. */
  readonly asked?: string | undefined;
}

/** What can be taken back: a new pick by taking it out, a revision by bringing back what was before. */
type Undoable = { readonly kind: 'new' | 'revision'; readonly pick: Pick };

/** A walk round the pots: which one is in hand, what is in the form, what was just done and how to take it back. */
// biome-ignore lint/complexity/noExcessiveLinesPerFunction: one hand holds all of it: cut up, a dozen setters would be passed about
export function useRound(plan: RoundPlan) {
  const { trialId, units, picks, system, today } = plan;
  const [round, keep] = useDraft<RoundDraft>(
    `turnspit-round-${trialId}`,
    { pickedOn: today, tare: '', mode: 'whole' },
    readRoundDraft,
  );
  const keepRound = (changes: Partial<RoundDraft>): void => keep(now => ({ ...now, ...changes }));
  const style = MASS_STYLE_FOR[system];
  const [unit, takeInHand] = useUnitInHand(plan, round.pickedOn);
  const { begin, reopen, setTrouble, ...form } = usePickForm(style, unit?.id ?? '', plan);
  const inHand = useRef(unit?.id);
  inHand.current = unit?.id;
  const [said, setSaid] = useState('');
  const [saves, setSaves] = useState(0);
  const saved = useRef(new Set<string>());
  const { undo, canUndo, remember } = useUndo(plan, setTrouble, ({ unitId, pickedOn }) => {
    saved.current.delete(`${unitId} ${pickedOn}`);
    setSaid('Undone.');
    takeInHand(unitId);
  });
  const codeOf = (id: string): string => units.find(candidate => candidate.id === id)?.code ?? '';

  const { isPending, send } = useSending(plan.take, form.refused);
  const save = (goesOn: boolean): void => {
    if (!unit) return;
    const { draft, editing } = form;
    const { pickedOn } = round;
    send(pickInput(form, round, unit), answer => {
      if (!answer.ok) {
        setTrouble(answer.trouble, unit.id);
        return;
      }
      const pick = answer.value;
      saved.current.add(`${unit.id} ${pickedOn}`);
      setSaves(count => count + 1);
      remember({ kind: editing ? 'revision' : 'new', pick });
      const odd = oddity(picks, pick);
      const sure = odd === null ? '' : ` ${oddityWords(odd)}`;
      setSaid(`${unit.code}: ${pickWords(pick, style)} saved.${sure}`);
      const isGreenNext = !editing && asksForGreen(round, pick);
      begin(unit.id, isGreenNext ? GREEN_PICK : EMPTY_PICK, draft);
      // Who has gone on to another unit meanwhile stays there.
      if (inHand.current !== unit.id) return;
      const hasEntry = (each: BenchUnit): boolean =>
        saved.current.has(`${each.id} ${pickedOn}`) || isDone(each, picks, pickedOn);
      const next = nextUnit(units, unit, hasEntry);
      const isDoneHere = round.mode !== 'piece' && !isGreenNext && !editing;
      takeInHand(goesOn && next && isDoneHere ? next.id : unit.id);
    });
  };
  return {
    ...form,
    unit,
    round,
    keepRound,
    style,
    isPending,
    said,
    saves,
    save,
    undo,
    canUndo,
    takeOut: async (pick: Pick): Promise<void> => {
      const answer = await answered(() => plan.remove(pick.id, writerName()));
      setTrouble(answer.ok ? undefined : answer.trouble);
      if (!answer.ok) return;
      remember({ kind: 'revision', pick: answer.value });
      setSaid(`${codeOf(pick.unitId)}: ${pickWords(pick, style)} taken out.`);
    },
    choose: (id: string): void => {
      takeInHand(id);
    },
    edit: (pick: Pick): void => {
      reopen(pick);
      const tare = pick.tareG === 0 ? round.tare : writeAmount(pick.tareG, 'mass', system);
      keepRound({ pickedOn: pick.pickedOn, tare });
    },
    stopEditing: (): void => begin(unit?.id ?? ''),
  };
}

type FormInHand = globalThis.Pick<
  ReturnType<typeof usePickForm>,
  'id' | 'draft' | 'editing' | 'fields'
>;

/** A pick as it is sent; in a round piece by piece each is one. */
function pickInput({ id, draft, editing, fields }: FormInHand, round: RoundDraft, unit: BenchUnit) {
  const isOnePiece = round.mode === 'piece' && draft.outcome === 'picked';
  return {
    ...draft,
    pieces: isOnePiece ? '1' : draft.pieces,
    id,
    // Asked whether it is a second one, and pressed again.
    isSecond: fields.again !== undefined || isOnePiece,
    unitId: unit.id,
    supersedes: editing?.id ?? null,
    pickedOn: round.pickedOn,
    tare: round.tare,
    by: writerName(),
  };
}

/** On the final clearing pick all that is green comes after what is ripe. */
function asksForGreen(round: RoundDraft, pick: Pick): boolean {
  return round.mode === 'strip' && pick.outcome !== 'dead' && pick.grade === 'sound';
}

/**
 * Sends one pick after the other. Not a transition: that stays pending until the page has caught up, and a fast hand's next
 * Enter would be lost.
 */
function useSending(take: RoundPlan['take'], refused: TrialTrouble | undefined) {
  const [isPending, setPending] = useState(false);
  const keepHand = useFirstWrong(refused);
  const send = async (input: unknown, then: (answer: Awaited<Answer>) => void): Promise<void> => {
    if (isPending) return;
    setPending(true);
    keepHand();
    const answer = await answered(() => take(input));
    setPending(false);
    then(answer);
  };
  return {
    isPending,
    send: (input: unknown, then: (answer: Awaited<Answer>) => void): void => void send(input, then),
  };
}

/** What was done in this round, the last first to be taken back. */
function useUndo(
  { remove, undoRevision }: RoundActions,
  setTrouble: SetTrouble,
  then: (pick: Pick) => void,
) {
  const [undoable, setUndoable] = useState<readonly Undoable[]>([]);
  const undo = async (): Promise<void> => {
    const last = undoable.at(-1);
    if (!last) return;
    setUndoable(undoable.slice(0, -1));
    const answer = await answered(() =>
      last.kind === 'new'
        ? remove(last.pick.id, writerName())
        : undoRevision(last.pick.id, writerName()),
    );
    // What got no answer can be taken back once more.
    if (!answer.ok && answer.trouble.kind === 'no-answer') setUndoable(undoable);
    setTrouble(answer.ok ? undefined : answer.trouble);
    if (answer.ok) then(last.pick);
  };
  useUndoKey(() => void undo());
  return {
    undo,
    canUndo: undoable.length > 0,
    remember: (done: Undoable): void => setUndoable(now => [...now, done]),
  };
}
