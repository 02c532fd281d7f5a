'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { v7 } from 'uuid';
import { MASS_STYLE_FOR } from '@/core/quantity/print-quantity';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { Result } from '@/core/result';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import type { Pick } from '@/core/trial/model/pick';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import type { BenchUnit } from '@/features/bench/bench-view';
import { useChosenUnit } from '@/features/bench/ChosenUnit';
import { useDraft } from '@/ui/use-draft';
import {
  draftOf,
  EMPTY_PICK,
  GREEN_PICK,
  isRoundDraft,
  type PickDraft,
  pickWords,
  type RoundDraft,
} from './pick-draft';
import { oddity, oddityWords } from './weigh-sums';

type Answer = Promise<Result<Pick, TrialTrouble>>;

export interface RoundActions {
  readonly take: (input: unknown) => Answer;
  readonly remove: (pickId: string) => Answer;
  readonly undoRevision: (revisionId: string) => Answer;
}

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
export function useRound({
  trialId,
  units,
  picks,
  system,
  today,
  asked,
  take,
  remove,
  undoRevision,
}: RoundPlan) {
  const chosen = useChosenUnit();
  const [round, keepRound] = useDraft<RoundDraft>(
    `turnspit-round-${trialId}`,
    { pickedOn: today, tare: '', mode: 'whole' },
    isRoundDraft,
  );
  const [draft, setDraft] = useState<PickDraft>(EMPTY_PICK);
  const [editing, setEditing] = useState<Pick | null>(null);
  const [trouble, setTrouble] = useState<TrialTrouble>();
  const [said, setSaid] = useState('');
  const [undoable, setUndoable] = useState<readonly Undoable[]>([]);
  // Not a transition: that stays pending until the page has caught up, and a fast hand's next Enter would be lost.
  const [isPending, setPending] = useState(false);
  const saved = useRef(new Set<string>());
  const [saves, setSaves] = useState(0);
  const style = MASS_STYLE_FOR[system];
  const unit =
    units.find(candidate => candidate.id === chosen.unitId) ??
    units.find(candidate => candidate.code === asked) ??
    units.find(candidate => !isDone(candidate, picks, round.pickedOn)) ??
    units[0];
  const unitId = unit?.id;
  const { unitId: chosenId, choose: chooseUnit } = chosen;
  useEffect(() => {
    if (chosenId === null && unitId !== undefined) chooseUnit(unitId);
  }, [chosenId, unitId, chooseUnit]);
  const codeOf = (id: string): string => units.find(candidate => candidate.id === id)?.code ?? '';

  const choose = (id: string): void => {
    chosen.choose(id);
    if (id === unit?.id) return;
    setEditing(null);
    setTrouble(undefined);
    setDraft(EMPTY_PICK);
  };
  const save = (goesOn: boolean): void => {
    if (!unit || isPending) return;
    setPending(true);
    void (async () => {
      const pieces = round.mode === 'piece' && draft.outcome === 'picked' ? '1' : draft.pieces;
      const answer = await take({
        ...draft,
        pieces,
        id: v7(),
        unitId: unit.id,
        supersedes: editing?.id ?? null,
        pickedOn: round.pickedOn,
        tare: round.tare,
      });
      setPending(false);
      setTrouble(answer.ok ? undefined : answer.trouble);
      if (!answer.ok) return;
      saved.current.add(`${unit.id} ${round.pickedOn}`);
      setSaves(count => count + 1);
      const odd = oddity(picks, answer.value);
      setUndoable([...undoable, { kind: editing ? 'revision' : 'new', pick: answer.value }]);
      setSaid(
        `${unit.code}: ${pickWords(answer.value, style)} saved.${odd === null ? '' : ` ${oddityWords(odd)}`}`,
      );
      const isGreenNext =
        round.mode === 'strip' &&
        !editing &&
        answer.value.outcome !== 'dead' &&
        answer.value.grade === 'sound';
      setDraft(isGreenNext ? GREEN_PICK : EMPTY_PICK);
      setEditing(null);
      const next = nextUnit(
        units,
        unit,
        each =>
          saved.current.has(`${each.id} ${round.pickedOn}`) || isDone(each, picks, round.pickedOn),
      );
      if (goesOn && next && round.mode !== 'piece' && !isGreenNext && !editing)
        chosen.choose(next.id);
      else chosen.choose(unit.id);
    })();
  };
  const takeOut = async (pick: Pick): Promise<void> => {
    const answer = await remove(pick.id);
    setTrouble(answer.ok ? undefined : answer.trouble);
    if (!answer.ok) return;
    setUndoable([...undoable, { kind: 'revision', pick: answer.value }]);
    setSaid(`${codeOf(pick.unitId)}: ${pickWords(pick, style)} taken out.`);
  };
  const undo = useCallback(async (): Promise<void> => {
    const last = undoable.at(-1);
    if (!last) return;
    setUndoable(undoable.slice(0, -1));
    const answer = await (last.kind === 'new' ? remove(last.pick.id) : undoRevision(last.pick.id));
    setTrouble(answer.ok ? undefined : answer.trouble);
    if (!answer.ok) return;
    saved.current.delete(`${last.pick.unitId} ${last.pick.pickedOn}`);
    setSaid('Undone.');
    chosen.choose(last.pick.unitId);
  }, [undoable, remove, undoRevision, chosen.choose]);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (!(event.ctrlKey || event.metaKey) || event.shiftKey || event.key.toLowerCase() !== 'z')
        return;
      // In a field with words in it the key takes back typing, as it does everywhere.
      if (event.target instanceof HTMLInputElement && event.target.value !== '') return;
      event.preventDefault();
      void undo();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [undo]);

  const fields: FieldTroubles = trouble?.kind === 'invalid' ? trouble.fields : {};
  return {
    unit,
    round,
    keepRound,
    draft,
    setDraft,
    editing,
    fields,
    style,
    isPending,
    said,
    saves,
    save,
    takeOut,
    undo,
    choose,
    sentence: trouble && trouble.kind !== 'invalid' ? trialSentence(trouble) : null,
    canUndo: undoable.length > 0,
    edit: (pick: Pick): void => {
      setEditing(pick);
      setTrouble(undefined);
      setDraft(draftOf(pick, style));
      keepRound({
        ...round,
        pickedOn: pick.pickedOn,
        tare: pick.tareG === 0 ? round.tare : `${pick.tareG} g`,
      });
    },
    stopEditing: (): void => {
      setEditing(null);
      setDraft(EMPTY_PICK);
    },
  };
}

export function isDone(unit: BenchUnit, picks: readonly Pick[], day: string): boolean {
  return picks.some(pick => pick.unitId === unit.id && pick.pickedOn === day);
}

/** The next unit in walking order that has nothing for the day yet, going round once. */
function nextUnit(
  units: readonly BenchUnit[],
  from: BenchUnit,
  isDoneAlready: (unit: BenchUnit) => boolean,
): BenchUnit | undefined {
  const at = units.indexOf(from);
  return [...units.slice(at + 1), ...units.slice(0, at)].find(unit => !isDoneAlready(unit));
}
