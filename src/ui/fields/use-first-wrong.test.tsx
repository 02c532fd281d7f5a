import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { NO_ANSWER } from '@/ui/actions/no-answer';
import { useFieldAction } from '@/ui/actions/use-field-action';
import { Fold } from '@/ui/Fold';
import { TextField } from './TextField';
import { Ticks } from './Ticks';

type Troubles = Readonly<Record<string, string>>;
type Save = () => Promise<Troubles | undefined>;

const FIELDS = ['name', 'strength', 'rate'] as const;

/** Two forms on a page; the last field of each is folded away. */
function Form({ of, save }: { readonly of: string; readonly save: Save }) {
  const { fields, send } = useFieldAction();
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const field = (name: string) => (
    <TextField
      key={name}
      label={`${of} ${name}`}
      name={name}
      value=""
      onChange={() => undefined}
      trouble={fields[name]}
    />
  );
  return (
    <section>
      {FIELDS.map(field)}
      <Ticks
        legend="To"
        options={[{ value: 'a', label: `${of} to a` }]}
        chosen={chosen}
        onChange={setChosen}
        trouble={fields.to}
      />
      <Fold title={`${of} more`}>{field('folded')}</Fold>
      <p>{fields.form}</p>
      <button type="button" onClick={() => void send(save)}>
        Save {of}
      </button>
    </section>
  );
}

function shown(feed: Save, bark: Save = async () => undefined) {
  render(
    <main>
      <Form of="bark" save={bark} />
      <Form of="feed" save={feed} />
    </main>,
  );
  return userEvent.setup();
}
const refuses =
  (troubles: Troubles): Save =>
  async () =>
    troubles;
const press = (user: ReturnType<typeof userEvent.setup>, name: string) =>
  user.click(screen.getByRole('button', { name }));

test('the first wrong field of the form that was sent is in hand, each time it is refused', async () => {
  const wrong = { strength: 'A number.', rate: 'A number.' };
  const user = shown(refuses(wrong), refuses({ name: 'A name.' }));
  await press(user, 'Save bark');
  await waitFor(() => expect(screen.getByLabelText('bark name')).toHaveFocus());
  await press(user, 'Save feed');
  await waitFor(() => expect(screen.getByLabelText('feed strength')).toHaveFocus());
  await press(user, 'Save feed');
  await waitFor(() => expect(screen.getByLabelText('feed strength')).toHaveFocus());
});

test('ticks that are wrong are gone to as a line is, and what is folded away is unfolded', async () => {
  const user = shown(refuses({ folded: 'A number.' }), refuses({ to: 'Tick some.' }));
  await press(user, 'Save bark');
  await waitFor(() => expect(screen.getByLabelText('bark to a')).toHaveFocus());
  await press(user, 'Save feed');
  await waitFor(() => expect(screen.getByLabelText('feed folded')).toHaveFocus());
  expect(screen.getByRole('button', { name: 'feed more' })).toHaveAttribute(
    'aria-expanded',
    'true',
  );
});

test('who has gone on writing elsewhere is not called back', async () => {
  let refuse: (troubles: Troubles) => void = () => undefined;
  const user = shown(
    () =>
      new Promise(answer => {
        refuse = answer;
      }),
  );
  await press(user, 'Save feed');
  await user.click(screen.getByLabelText('feed rate'));
  refuse({ name: 'A name.' });
  expect(await screen.findByText('A name.')).toBeVisible();
  expect(screen.getByLabelText('feed rate')).toHaveFocus();
});

test('where no field is wrong, what was pressed stays in hand', async () => {
  const user = shown(
    () => Promise.reject(new TypeError('Failed to fetch')),
    refuses({ name: 'A name.' }),
  );
  await press(user, 'Save bark');
  expect(await screen.findByText('A name.')).toBeVisible();
  await press(user, 'Save feed');
  expect(await screen.findByText(NO_ANSWER)).toBeVisible();
  expect(screen.getByRole('button', { name: 'Save feed' })).toHaveFocus();
});
