'use client';
import { styled } from 'styled-components';
import { figures } from '@/core/materials/amount-words';
import type { EqualisedRates, EqualiseTrouble } from '@/core/materials/dose/equalise-rates';
import { EQUALISE_SCHOOLS } from '@/core/materials/dose/equalise-rates';
import { unitCost } from '@/core/materials/ledger/money';
import type { LedgerAccount } from '@/core/materials/ledger/nutrient-ledger';
import { MIX_FEEDS_WEEKS } from '@/core/materials/ledger/nutrient-ledger';
import type { ToBuy } from '@/core/schedule/supplies/shopping-list';
import { counted } from '@/core/words/plural';
import { sentenceCase } from '@/core/words/sentence-case';
import { useAmountWords } from '@/features/frame/use-garden-units';
import { Fold } from '@/ui/Fold';
import { Choice } from '@/ui/fields/Choice';
import { Select } from '@/ui/fields/Select';
import { useForm } from '@/ui/fields/use-form';
import { Soft } from '@/ui/Page';
import { TableHead } from '@/ui/TableHead';
import { WideTable } from '@/ui/WideTable';
import type { TendView } from './tend-scene';

const BYS = ['n', 'p', 'k', 'money', 'dry-mass'] as const;
type By = (typeof BYS)[number];
const BY_WORDS: Readonly<Record<By, string>> = {
  n: 'nitrogen',
  p: 'phosphorus',
  k: 'potassium',
  money: 'money',
  'dry-mass': 'dry matter',
};

/** What a unit of each treatment is given, planned and done, all beside each other; and how to make it fair. */
export function Ledger({ view }: { readonly view: TendView }) {
  const inUnits = useAmountWords();
  const { form, field } = useForm<{ readonly which: 'planned' | 'done'; readonly by: By }>({
    which: 'planned',
    by: 'n',
  });
  const { which, by } = form;
  const { ledger, equalised, shopping, trial } = view;
  const accounts = which === 'done' && ledger.done ? ledger.done : ledger.planned;
  if (ledger.planned.every(account => account.lines.length === 0)) return null;
  const found = equalised[by];
  return (
    <Book aria-label="What each is given">
      <h2>What each {trial.unitWord} is given</h2>
      {ledger.done === null ? (
        <Soft>As planned. What was given so far is shown when the key is open.</Soft>
      ) : (
        <Choice
          label="Over the season"
          {...field('which')}
          direction="row"
          options={[
            { value: 'planned', label: 'as planned' },
            { value: 'done', label: 'as done so far' },
          ]}
        />
      )}
      <AccountTable accounts={accounts} view={view} which={which} />
      {(ledger.base.n ?? 0) > 0 && (
        <Soft>
          The mix itself holds about {inUnits(ledger.base.n ?? 0, 'mass')} of nitrogen a{' '}
          {`${trial.unitWord};`} a bought mix feeds for some {MIX_FEEDS_WEEKS.from} to{' '}
          {MIX_FEEDS_WEEKS.to} weeks.
        </Soft>
      )}
      {ledger.flags.map(flag => (
        <p key={flag.code} data-flag>
          {sentenceCase(flag.says)}
        </p>
      ))}
      <h3>Make it fair</h3>
      <Select
        label="All fed ones are to get equal"
        {...field('by')}
        options={BYS.map(value => ({ value, label: BY_WORDS[value] }))}
      />
      {found.ok ? (
        <EqualisedList amount={value => givenWords(value, by, inUnits)} found={found.value} />
      ) : (
        <p>{unequalWords(found.trouble, by, inUnits)}</p>
      )}
      <Soft>
        {EQUALISE_SCHOOLS.label} {EQUALISE_SCHOOLS.equal}
      </Soft>
      {shopping.length > 0 && <ShoppingList shopping={shopping} />}
    </Book>
  );
}

type InUnits = ReturnType<typeof useAmountWords>;

function givenWords(value: number, by: By, inUnits: InUnits): string {
  return by === 'money' ? value.toFixed(2) : `${inUnits(value, 'mass')} of ${BY_WORDS[by]}`;
}

/** Why they can't be given alike. */
function unequalWords(trouble: EqualiseTrouble, by: By, inUnits: InUnits): string {
  switch (trouble.kind) {
    case 'too-few':
      return `Fewer than two treatments give any ${BY_WORDS[by]}.`;
    case 'not-known':
      return `Not known: what ${trouble.names.join(' and ')} gives. Complete its product on the shelf.`;
    case 'out-of-range':
      return `Can’t be done within the labels: ${trouble.weak} gives ${givenWords(trouble.mostOfWeak, by, inUnits)} at most, ${trouble.strong} ${givenWords(trouble.leastOfStrong, by, inUnits)} at least.`;
  }
}

interface EqualisedListProps {
  readonly amount: (value: number) => string;
  readonly found: EqualisedRates;
}

function EqualisedList({ amount, found }: EqualisedListProps) {
  return (
    <>
      <p>{amount(found.each)} each:</p>
      <ul>
        {found.changes.map(change => (
          <li key={change.treatmentId}>
            <b>{change.name}</b>:{' '}
            {Math.abs(change.factor - 1) < 0.005
              ? 'as it is'
              : `${figures(change.factor)} times its dose`}{' '}
            <small>
              its label allows {figures(change.least)} to {figures(change.most)} times
            </small>
          </li>
        ))}
      </ul>
    </>
  );
}

function ShoppingList({ shopping }: { readonly shopping: readonly ToBuy[] }) {
  const inUnits = useAmountWords();
  return (
    <Fold title="What to have in the shed">
      <ul>
        {shopping.map(item => (
          <li key={item.product + item.of}>
            <b>{item.product}</b>: {inUnits(item.need, item.of)}
            {item.packs === null
              ? ', pack not known'
              : `, ${counted(item.packs, 'pack')} with a tenth to spare`}
            {item.price === null ? '' : `, ${item.price.toFixed(2)}`}
          </li>
        ))}
      </ul>
    </Fold>
  );
}

interface AccountTableProps {
  readonly accounts: readonly LedgerAccount[];
  readonly view: TendView;
  readonly which: 'planned' | 'done';
}

function AccountTable({ accounts, view, which }: AccountTableProps) {
  return (
    <WideTable label="What each treatment is given">
      <TableHead of={['treatment', 'of what', 'N', 'P', 'K', 'others', 'cost', 'minutes']} />
      <tbody>
        {accounts.map(account => (
          <AccountRow
            key={account.treatmentId}
            account={account}
            hourWorth={view.care.settings.hourWorth}
            isDone={which === 'done'}
          />
        ))}
      </tbody>
    </WideTable>
  );
}

/** Something in it gives its nitrogen later than the ledger's day. */
function isSlow({ nutrients, released }: LedgerAccount): boolean {
  return (nutrients.n ?? 0) - (released.n ?? 0) > 1e-9;
}

function AccountRow({
  account,
  hourWorth,
  isDone,
}: {
  readonly account: LedgerAccount;
  readonly hourWorth: number | null;
  readonly isDone: boolean;
}) {
  const inUnits = useAmountWords();
  const { n, p, k, ...others } = account.nutrients;
  const grams = (value: number | undefined): string =>
    value === undefined || value === 0
      ? '—'
      : `${account.isLeast ? '≥ ' : ''}${inUnits(value, 'mass')}`;
  return (
    <tr>
      <th scope="row">{account.name}</th>
      <td data-long>
        {account.lines.length === 0
          ? 'nothing'
          : account.lines
              .map(line => `${line.times} × ${line.product}, ${inUnits(line.amount, line.of)}`)
              .join('; ')}
        {isSlow(account) && (
          <small>
            {' '}
            of its nitrogen {inUnits(account.released.n ?? 0, 'mass')}{' '}
            {isDone ? 'so far' : 'by the end'}
          </small>
        )}
      </td>
      <td>{grams(n)}</td>
      <td>{grams(p)}</td>
      <td>{grams(k)}</td>
      <td>
        {Object.entries(others)
          .filter(([, value]) => value > 0)
          .map(
            ([nutrient, value]) =>
              `${nutrient.charAt(0).toUpperCase()}${nutrient.slice(1)} ${inUnits(value, 'mass')}`,
          )
          .join(', ') || '—'}
      </td>
      <td>
        {account.cost === null
          ? '?'
          : hourWorth === null
            ? account.cost.toFixed(2)
            : `${unitCost([account.cost], account.minutes, hourWorth).total.toFixed(2)} with the hours, ${account.cost.toFixed(2)} without`}
      </td>
      <td>{account.minutes === 0 ? '—' : figures(account.minutes)}</td>
    </tr>
  );
}

const Book = styled.section`
  display: grid; grid-template-columns: minmax(0, 1fr); gap: 12px; border-top: 1px solid var(--rule); padding-top: 16px;
  & [data-flag] { border-left: 3px solid var(--straw); padding-left: 12px; max-width: var(--measure); }
  & ul { margin: 0; padding-left: 18px; display: grid; gap: 4px; }
  & small { color: var(--ink-soft); }
`;
