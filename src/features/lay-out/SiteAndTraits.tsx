'use client';

import type { SeenLayout } from '@/core/blinding/seen-layout';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { Result } from '@/core/result';
import type { StoodBefore } from '@/core/trial/bed-history';
import type { traitLines } from '@/core/trial/forms/trait-form';
import { liesInGardens } from '@/core/trial/garden-word';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import type { BenchView } from '@/features/bench/bench-view';
import { AsBuiltPanel } from './AsBuiltPanel';
import { BedHistory } from './BedHistory';
import { BlockNames, type NamedBlock } from './BlockNames';
import type { BuiltView } from './built-view';
import type { Ground } from './ground';
import { SitePanel } from './SitePanel';
import { TraitPanel } from './TraitPanel';

type Change<Input = unknown> = (input: Input) => Promise<Result<unknown, TrialTrouble>>;

export interface SiteAndTraitsProps {
  /** What can be stood elsewhere, and what lies about it; null before the deal. */
  readonly ground: Ground | null;
  readonly layout: SeenLayout | null;
  /** Without treatments where the trial is blind. */
  readonly bench: BenchView | null;
  readonly isLocked: boolean;
  readonly isClosed: boolean;
  readonly unitWord: string;
  readonly system: MeasureSystem;
  readonly traits: ReturnType<typeof traitLines>;
  readonly built: BuiltView;
  readonly describeSite: Change;
  readonly describeTrait: Change;
  readonly forgetTrait: Change<string>;
  readonly putAsBuilt: Change;
  readonly blocks: readonly NamedBlock[];
  readonly nameBlocks: Change;
  /** What earlier trials grew in beds of the same names. */
  readonly history: readonly StoodBefore[];
}

/** What lies about the bench, what differs between its units, and what each of them really is. */
export function SiteAndTraits({ ground, layout, bench, isLocked, ...props }: SiteAndTraitsProps) {
  return (
    <>
      {ground && (
        <SitePanel
          site={ground.site}
          hasGuards={layout?.hasGuards ?? false}
          biases={ground.biases}
          blockWord={layout?.blockWord ?? 'block'}
          isTurned={layout?.isTurned ?? false}
          hasBlocks={(layout?.blockCount ?? 0) > 1}
          isLocked={isLocked}
          draw={props.describeSite}
        />
      )}
      {props.history.length > 0 && (
        <BedHistory history={props.history} putDown={props.describeTrait} />
      )}
      {layout && (
        <TraitPanel
          traits={props.traits}
          example={`terracotta: ${bench?.units[0]?.code ?? 'KA3'} ${bench?.units[1]?.code ?? 'KB7'}\nplastic: the rest`}
          putDown={props.describeTrait}
          forget={props.forgetTrait}
        />
      )}
      {layout && props.blocks.length > 1 && !props.isClosed && (
        <BlockNames
          key={props.blocks.map(block => block.id).join()}
          blocks={props.blocks}
          blockWord={layout.blockWord}
          areGardens={liesInGardens(layout)}
          put={props.nameBlocks}
        />
      )}
      {layout && (
        <AsBuiltPanel
          built={props.built}
          unitWord={props.unitWord}
          system={props.system}
          isClosed={props.isClosed}
          put={props.putAsBuilt}
        />
      )}
    </>
  );
}
