'use client';

import { useMemo, useRef, useState } from 'react';
import { type BenchDraft, readBench } from '@/core/design/layouts/bench-form';
import { draftDeal } from '@/core/design/layouts/draft-trial';
import type { Result } from '@/core/result';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import type { BenchView } from '@/features/bench/bench-view';
import { useTrialAction } from '@/features/trial/use-trial-action';
import type { LayOutProps } from './lay-out-props';

/** What is typed of the layout, what it comes to, and how it is dealt. */
export function useDealing(props: LayOutProps) {
  const { saved, treatments, system, unitWord, question, undealt, isLocked } = props;
  const [form, setForm] = useState(saved);
  const { trouble, fields, isPending, run } = useTrialAction();
  const [keyBench, setKeyBench] = useState<BenchView | null>(null);
  const request = useMemo(() => readBench(form, system, treatments), [form, system, treatments]);
  const plan = useMemo(
    () => (request.ok ? { ...question, request: request.value, treatments, unitWord } : null),
    [request, question, treatments, unitWord],
  );
  // What was dealt may be put down in other words than it was typed in.
  const [dealt, setDealt] = useState(saved);
  const bench = useRef<HTMLDivElement>(null);
  const isTyping = !isLocked && !isSame(form, dealt) && !isSame(form, saved);
  const draft = useMemo(
    () => (request.ok && isTyping ? draftDeal(undealt, request.value) : null),
    [request, isTyping, undealt],
  );
  const act = (work: () => Promise<Result<unknown, TrialTrouble>>, of = form): void =>
    run(work, () => {
      setKeyBench(null);
      setDealt(of);
      // The button lies far below what it made.
      (bench.current ?? document.querySelector('main'))?.scrollIntoView?.({ block: 'start' });
    });
  const dealIt = (next: BenchDraft): void => {
    setForm(next);
    act(() => props.deal(next), next);
  };
  const keyLook = { keyBench, setKeyBench };
  return {
    form,
    setForm,
    request,
    plan,
    draft,
    isTyping,
    trouble,
    fields,
    isPending,
    act,
    dealIt,
    bench,
    keyLook,
  };
}

const isSame = (a: BenchDraft, b: BenchDraft): boolean => JSON.stringify(a) === JSON.stringify(b);
