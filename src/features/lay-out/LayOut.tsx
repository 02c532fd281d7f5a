'use client';

import Link from 'next/link';
import { useState, useTransition } from 'react';
import { styled } from 'styled-components';
import type { Result } from '@/core/result';
import type { FieldTroubles } from '@/core/trial/field-troubles';
import type { Layout } from '@/core/trial/trial-data';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { Bench } from '@/features/bench/Bench';
import type { BenchView, TagView } from '@/features/bench/bench-view';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Acts, Soft, TwoParts } from '@/ui/Page';
import { TextField } from '@/ui/TextField';
import { Trouble } from '@/ui/Trouble';
import { PlanSize } from './PlanSize';
import { TagKey } from './TagKey';
import { counted, pluralOf } from '@/core/words/plural';

/** A layout as its form holds it. */
export interface BenchDraft {
  readonly kind: Layout['kind'];
  readonly unitsEach: string;
  readonly blockCount: string;
  readonly blockWord: string;
  readonly unitWidth: string;
  readonly isBlind: boolean;
}

interface LayOutProps {
  readonly saved: BenchDraft;
  readonly layout: Layout | null;
  readonly isLocked: boolean;
  readonly unitWord: string;
  readonly tags: readonly TagView[];
  readonly marginPercent: number | null;
  /** Without treatments where the trial is blind. */
  readonly bench: BenchView | null;
  readonly weighHref: string;
  readonly deal: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly lock: () => Promise<Result<unknown, TrialTrouble>>;
  readonly showKey: () => Promise<BenchView | null>;
}

/** How many, which gets what, and where each stands; dealt again until it is locked. */
export function LayOut({ saved, layout, isLocked, unitWord, tags, marginPercent, bench, weighHref, deal, lock, showKey }: LayOutProps) {
  const [form, setForm] = useState(saved);
  const [trouble, setTrouble] = useState<TrialTrouble>();
  const [keyBench, setKeyBench] = useState<BenchView | null>(null);
  const [isPending, startTransition] = useTransition();
  const fields: FieldTroubles = trouble?.kind === 'invalid' ? trouble.fields : {};
  const set = <Key extends keyof BenchDraft>(key: Key) => (value: BenchDraft[Key]): void => setForm({ ...form, [key]: value });
  const act = (work: () => Promise<Result<unknown, TrialTrouble>>): void => startTransition(async () => {
    const done = await work();
    setTrouble(done.ok ? undefined : done.trouble);
    if (done.ok) setKeyBench(null);
  });
  const each = Number(form.unitsEach) * (form.kind === 'complete-blocks' ? Number(form.blockCount) : 1);
  const shownBench = keyBench ?? bench;
  return (
    <TwoParts>
      <div>
        {shownBench
          ? <Bench view={shownBench} label="The bench from above" lens={unit => ({ state: 'done', share: null, words: unit.tag ? unit.tag.name : 'what it gets is hidden' })} />
          : <Blank><p>Nothing stands here yet.</p><p>Say how many {pluralOf(unitWord)} each treatment gets, and deal. Every {unitWord} gets a code and a place by lot, not by hand: a hand always finds the better light for its favourite.</p></Blank>}
        {shownBench && <TagKey tags={tags} isHidden={shownBench.units.every(unit => unit.tag === null)} />}
        {layout && <Soft>Dealt {layout.deals === 1 ? 'once' : `${layout.deals} times`}, seed {layout.seed}. The same plan and seed give this bench again.</Soft>}
        {bench?.units.every(unit => unit.tag === null) && (
          <Acts>
            <Button onPress={() => { if (keyBench) setKeyBench(null); else startTransition(async () => setKeyBench(await showKey())); }}>{keyBench ? 'Hide the key' : 'Show the key'}</Button>
            <Soft>For whoever feeds. Who weighs had better not look; each look is put in the log.</Soft>
          </Acts>
        )}
      </div>
      <div>
        {isLocked ? <LockedPlan layout={layout} isBlind={saved.isBlind} unitWord={unitWord} weighHref={weighHref} /> : (
          <>
            <h2>How it is laid out</h2>
            <Choice
              label="Dealt" name="kind" value={form.kind} onChange={set('kind')}
              options={[
                { value: 'complete-blocks', label: 'within blocks', hint: 'Each shelf, bed or strip holds every treatment equally often, so that light and draught can’t decide.' },
                { value: 'complete-randomisation', label: 'over the whole bench', hint: 'Where one place is as good as the other.' },
              ]}
            />
            <Fields>
              {form.kind === 'complete-blocks' && <TextField label="Blocks" name="blockCount" value={form.blockCount} onChange={set('blockCount')} trouble={fields.blockCount} inputMode="numeric" />}
              {form.kind === 'complete-blocks' && <TextField label="A block is a" name="blockWord" value={form.blockWord} onChange={set('blockWord')} trouble={fields.blockWord} />}
              <TextField label={form.kind === 'complete-blocks' ? 'Of each, in a block' : 'Of each treatment'} name="unitsEach" value={form.unitsEach} onChange={set('unitsEach')} trouble={fields.unitsEach} inputMode="numeric" />
              <TextField label={`A ${unitWord} is across`} name="unitWidth" value={form.unitWidth} onChange={set('unitWidth')} trouble={fields.unitWidth} />
            </Fields>
            <Choice
              label="Who sees what each got" name="isBlind" value={form.isBlind ? 'blind' : 'open'} onChange={value => set('isBlind')(value === 'blind')}
              options={[{ value: 'blind', label: 'nobody, until the key is opened', hint: 'Weighing goes by codes alone: nobody can be kind to a favourite.' }, { value: 'open', label: 'everyone', hint: 'Where it can’t be hidden anyway.' }]}
            />
            {trouble && <Trouble>{trouble.kind === 'invalid' ? 'Not dealt: look at the marked lines.' : trialSentence(trouble)}</Trouble>}
            <Acts>
              <Button data-tone={layout ? undefined : 'main'} onPress={() => act(() => deal(form))} isPending={isPending}>{layout ? 'Deal again' : 'Deal'}</Button>
              {layout && <Button data-tone="main" onPress={() => act(lock)} isPending={isPending}>Lock the plan</Button>}
            </Acts>
            {layout && <Soft>Locking comes before the first reading. After it, the question, the margin and the deal stand.</Soft>}
          </>
        )}
        <PlanSize unitsEach={isLocked && layout ? layout.unitsEach : each} treatments={tags.length} unitWord={unitWord} marginPercent={marginPercent} />
      </div>
    </TwoParts>
  );
}

function LockedPlan({ layout, isBlind, unitWord, weighHref }: { readonly layout: Layout | null; readonly isBlind: boolean; readonly unitWord: string; readonly weighHref: string }) {
  return (
    <>
      <h2>The plan is locked</h2>
      <p>{counted(layout?.unitsEach ?? 0, unitWord)} of each treatment, {layout && layout.blockCount > 0 ? `dealt within ${counted(layout.blockCount, layout.blockWord)}` : 'dealt over the whole bench'}, {isBlind ? 'weighed blind' : 'open to see'}.</p>
      <Acts><Link href={weighHref}>Go on to Weigh</Link></Acts>
    </>
  );
}

const Fields = styled.div`
  display: grid; grid-template-columns: 1fr 1fr; gap: 16px 24px; align-items: start;
`;

const Blank = styled.div`
  background: var(--slate-deep); padding: 48px 32px; display: grid; gap: 8px; min-height: 260px; align-content: center;
  & p:first-child { font-family: var(--font-heading), sans-serif; font-size: 1.25rem; font-weight: 650; }
  & p { color: var(--ink-soft); }
  & p:first-child { color: var(--ink); }
`;
