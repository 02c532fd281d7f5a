'use client';

import { useState } from 'react';
import { writeAmount } from '@/core/quantity/print-quantity';
import type { Result } from '@/core/result';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { counted } from '@/core/words/plural';
import { PickUnits } from '@/features/bench/PickUnits';
import { useSystem } from '@/features/frame/use-garden-units';
import { readAmount } from '@/features/shelf/sums/read-amount';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { usePressId } from '@/ui/actions/use-press-id';
import { Button } from '@/ui/Button';
import { fieldsOf } from '@/ui/fields/form-fields';
import { TextField } from '@/ui/fields/TextField';
import { Acts } from '@/ui/Page';

export function FillBags({
  codes,
  today,
  fill,
}: {
  readonly codes: readonly string[];
  readonly today: string;
  readonly fill: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
}) {
  const system = useSystem();
  const [chosen, setChosen] = useState<readonly string[]>(codes);
  const [form, setForm] = useState({
    takenOn: today,
    depthMm: writeAmount(system === 'us' ? 152.4 : 150, 'length', system),
    cores: '5',
    note: '',
  });
  const { trouble, fields, isPending, run } = useTrialAction();
  const press = usePressId();
  const depth = readAmount(form.depthMm, 'length', system, system === 'us' ? 'in' : 'cm');
  const depthMm = depth.base === undefined ? '' : String(Math.round(depth.base));
  const submit = (): void =>
    run(
      () =>
        depth.trouble === undefined
          ? fill({ ...form, depthMm, id: press.current(), codes: chosen })
          : undefined,
      press.renew,
    );
  const field = fieldsOf({
    form,
    change: changes => setForm(now => ({ ...now, ...changes })),
    troubles: depth.trouble === undefined ? fields : { ...fields, depthMm: depth.trouble },
  });
  return (
    <div>
      <PickUnits codes={codes} chosen={chosen} choose={setChosen} trouble={fields.codes} />
      <div data-fields>
        <TextField label="Taken on" {...field('takenOn')} type="date" />
        <TextField label="Down to" {...field('depthMm')} />
        <TextField label="Cores in a bag" {...field('cores')} inputMode="numeric" />
      </div>
      <ActionTrouble trouble={trouble} />
      <Acts>
        <Button onPress={submit} isPending={isPending}>
          Number {counted(chosen.length, 'bag')}
        </Button>
      </Acts>
    </div>
  );
}
