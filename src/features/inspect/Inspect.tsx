'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import { rulerWords } from '@/core/quantity/ruler-words';
import type { Result } from '@/core/result';
import { fullDay } from '@/core/time/days';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { useSystem } from '@/features/frame/use-garden-units';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { fieldsOf } from '@/ui/fields/form-fields';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { Link } from '@/ui/Link';
import { Acts, Soft } from '@/ui/Page';
import { TableHead } from '@/ui/TableHead';
import { Trouble } from '@/ui/Trouble';
import { WideTable } from '@/ui/WideTable';
import type { FindingView, InspectView } from './inspect-view';

type Door = (input: unknown) => Promise<Result<unknown, TrialTrouble>>;

interface InspectProps {
  readonly view: InspectView;
  readonly trialId: string;
  readonly unitWord: string;
  readonly isOpen: boolean;
  readonly readAlso: Door;
  readonly foretell: Door;
}

/** All is dug up: what is looked for, in the order in which it spoils; foretold before, read by code. */
export function Inspect({ view, trialId, unitWord, isOpen, readAlso, foretell }: InspectProps) {
  const { trouble, isPending, run } = useTrialAction();
  const add = (key: string): void => run(() => readAlso({ from: 'library', key }));
  const hasAny = view.findings.some(finding => finding.read !== null);
  return (
    <Box aria-label="Digging up">
      <h2>Digging up</h2>
      <Soft>
        In this order: what smells and crawls is gone first. Whoever scores goes by code and does
        not know what a {unitWord} got; untangle and wash all alike.
      </Soft>
      <FindingTable view={view} isOpen={isOpen} add={add} isPending={isPending} />
      {trouble && <Trouble>{trialSentence(trouble)}</Trouble>}
      {hasAny && isOpen && (
        <p>
          <Link href={`/trials/${trialId}/walk`}>Walk round and read them</Link>
        </p>
      )}
      {view.foretold.length > 0 && (
        <Soft>
          Expected, sealed until the verdict:{' '}
          {view.foretold
            .map(each => `${each.by} of ${each.about} (${fullDay(each.sealedAt.slice(0, 10))})`)
            .join(', ')}
          .
        </Soft>
      )}
      {isOpen &&
        (view.isInspected ? (
          <Soft>Something was found already: it is too late to say what you expect.</Soft>
        ) : (
          <Fold title="Say what you expect to find">
            <Foretell view={view} foretell={foretell} />
          </Fold>
        ))}
      <Soft>
        Afterwards: blighted tops, sprayed-off weeds and anything with plastic in it don’t go on the
        heap. Keep a labelled bag of each {unitWord}’s soil until the verdict stands.
      </Soft>
    </Box>
  );
}

interface FindingTableProps {
  readonly view: InspectProps['view'];
  readonly isOpen: InspectProps['isOpen'];
  readonly add: (key: string) => void;
  readonly isPending: boolean;
}

function FindingTable({ view, isOpen, add, isPending }: FindingTableProps) {
  return (
    <WideTable label="What is looked for at the end">
      <TableHead of={['look for', 'how', 'so far']} />
      <tbody>
        {view.findings.map(finding => (
          <FindingRow
            key={finding.key}
            finding={finding}
            isOpen={isOpen}
            add={add}
            isPending={isPending}
          />
        ))}
      </tbody>
    </WideTable>
  );
}

interface FindingRowProps {
  readonly finding: FindingView;
  readonly isOpen: InspectProps['isOpen'];
  readonly add: (key: string) => void;
  readonly isPending: boolean;
}

function FindingRow({ finding, isOpen, add, isPending }: FindingRowProps) {
  const system = useSystem();
  return (
    <tr>
      <th scope="row">{finding.name}</th>
      <td data-long>
        {rulerWords(finding.definition, system)} <small>{finding.scaleWords}</small>
      </td>
      <td>
        {finding.read === null ? (
          isOpen ? (
            <Button
              data-tone="quiet"
              onPress={() => add(finding.key)}
              isPending={isPending}
              aria-label={`Look for ${finding.name.toLowerCase()}`}
            >
              Look for it
            </Button>
          ) : (
            'not looked for'
          )
        ) : finding.read === 0 ? (
          'chosen'
        ) : (
          `${finding.read} read`
        )}
      </td>
    </tr>
  );
}

function Foretell({ view, foretell }: { readonly view: InspectView; readonly foretell: Door }) {
  const [form, setForm] = useState({
    about: view.findings[0]?.name ?? '',
    by: '',
    expects: '',
    why: '',
  });
  const { trouble, fields, isPending, run } = useTrialAction();
  const submit = (): void =>
    run(
      () => foretell(form),
      () => {
        setForm({ ...form, expects: '', why: '' });
      },
    );
  const field = fieldsOf({
    form,
    change: changes => setForm(now => ({ ...now, ...changes })),
    troubles: fields,
  });
  return (
    <div>
      <div data-fields>
        <Select
          label="Of"
          {...field('about')}
          options={view.findings.map(each => ({ value: each.name, label: each.name }))}
        />
        <TextField label="Who" {...field('by')} />
        <Select
          label="Most of it with"
          {...field('expects')}
          options={[
            { value: '', label: 'no difference that matters' },
            ...view.treatments.map(name => ({ value: name, label: name })),
          ]}
        />
      </div>
      <TextField label="What, and why" {...field('why')} />
      <ActionTrouble trouble={trouble} />
      <Acts>
        <Button onPress={submit} isPending={isPending}>
          Seal it
        </Button>
      </Acts>
    </div>
  );
}

const Box = styled.section`
  display: grid; gap: 12px; grid-template-columns: minmax(0, 1fr); border-top: 1px solid var(--rule); padding-top: 16px;
  & small { color: var(--ink-soft); display: block; }
  & [data-folded] > div { display: grid; gap: 10px; }
  & [data-fields] { display: grid; grid-template-columns: repeat(auto-fit, minmax(150px, 1fr)); gap: 12px; align-items: start; }
`;
