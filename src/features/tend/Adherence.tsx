'use client';

import { styled } from 'styled-components';
import { figures } from '@/core/materials/amount-words';
import { shortDay } from '@/core/time/days';
import type { HistoryLine } from '@/core/trial/history-line';
import { trialSentence } from '@/core/trial/trial-trouble';
import { counted } from '@/core/words/plural';
import { useAmountWords } from '@/features/frame/use-garden-units';
import { writerName } from '@/features/frame/writer-name';
import { EntryHistory } from '@/features/trial/EntryHistory';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { Soft } from '@/ui/Page';
import { TableHead } from '@/ui/TableHead';
import { Trouble } from '@/ui/Trouble';
import { WideTable } from '@/ui/WideTable';
import type { Untick } from './DueSteps';
import type { TendView } from './tend-scene';

interface AdherenceProps {
  readonly view: TendView;
  readonly untick: Untick;
  readonly history: () => Promise<readonly HistoryLine[]>;
}

/** How well the plan was kept, treatment by treatment, and the last steps with a way back. */
export function Adherence({ view, untick, history }: AdherenceProps) {
  const inUnits = useAmountWords();
  const { trouble, isPending, run } = useTrialAction();
  const kept = view.adherence.filter(each => each.planned > 0);
  const back = (actId: string): void => run(() => untick(view.trial.id, actId, writerName()));
  if (kept.length === 0 && view.recent.length === 0) return null;
  return (
    <Box aria-label="Given as planned">
      <h2>Given as planned</h2>
      {view.isKeyShut && <Soft>How each treatment was kept is shown when the key is open.</Soft>}
      {kept.length > 0 && <AdherenceTable kept={kept} />}
      {view.water.length > 0 && (
        <p>
          Plain water put down, each:{' '}
          {view.water.map(each => `${each.name} ${inUnits(each.ml, 'volume')}`).join(' · ')}.
        </p>
      )}
      {view.unevenActs.length > 0 && (
        <Fold title={`What not all got, ${view.unevenActs.length}`}>
          <ul>
            {view.unevenActs.map(act => (
              <li key={`${act.name} ${act.on} ${act.codes.join()}`}>
                {shortDay(act.on)}: {act.name}, {act.codes.join(' ')} of {act.of}. {act.note}
              </li>
            ))}
          </ul>
        </Fold>
      )}
      {view.isUneven && (
        <p data-flag>
          Some treatments missed more than others: what is compared is partly how well they were
          kept. The verdict says so.
        </p>
      )}
      {trouble && <Trouble>{trialSentence(trouble)}</Trouble>}
      {view.trial.state !== 'closed' && (
        <RecentActs view={view} back={back} isPending={isPending} />
      )}
      {view.recent.length === 0 && <Soft>Nothing is ticked off yet.</Soft>}
      <EntryHistory of="every task" load={history} />
    </Box>
  );
}

interface RecentActsProps {
  readonly view: AdherenceProps['view'];
  readonly back: (actId: string) => void;
  readonly isPending: boolean;
}

function RecentActs({ view, back, isPending }: RecentActsProps) {
  return (
    <ul>
      {view.recent.map(act => (
        <li key={act.actId}>
          <span>
            {shortDay(act.on)}: {act.name}
            {act.isSkipped ? ', left out' : ''}
            {act.by ? `, by ${act.by}` : ''}
            {act.note ? `. ${act.note}` : ''}
          </span>
          <Button
            data-tone="quiet"
            aria-label={`Undo ${act.name} of ${shortDay(act.on)}`}
            onPress={() => back(act.actId)}
            isPending={isPending}
          >
            Undo
          </Button>
        </li>
      ))}
    </ul>
  );
}

function AdherenceTable({ kept }: { readonly kept: TendView['adherence'] }) {
  return (
    <WideTable label="Given as planned, by treatment">
      <TableHead of={['treatment', 'planned', 'done', 'left out', 'missed', 'late']} />
      <tbody>
        {kept.map(each => (
          <tr key={each.treatmentId}>
            <th scope="row">{each.name}</th>
            <td>{each.planned}</td>
            <td>{figures(each.done)}</td>
            <td>{each.skipped}</td>
            <td>{each.missed}</td>
            <td>
              {each.daysLate === 0 ? '—' : `${counted(Number(each.daysLate.toFixed(1)), 'day')}`}
            </td>
          </tr>
        ))}
      </tbody>
    </WideTable>
  );
}

const Box = styled.section`
  display: grid; grid-template-columns: minmax(0, 1fr); gap: 10px; border-top: 1px solid var(--rule); padding-top: 16px;
  & ul { list-style: none; margin: 0; padding: 0; display: grid; gap: 2px; }
  & li { display: flex; justify-content: space-between; gap: 12px; align-items: baseline; }
  & [data-flag] { border-left: 3px solid var(--straw); padding-left: 12px; }
`;
