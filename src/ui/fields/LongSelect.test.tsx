import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { LongSelect } from './LongSelect';

const optionsOf = (count: number) =>
  Array.from({ length: count }, (_, i) => ({ value: `m${i}`, label: `Measure ${i}` }));

function Held({ count }: { readonly count: number }) {
  const [value, setValue] = useState('m2');
  return (
    <>
      <LongSelect
        label="What is read"
        name="mainKey"
        value={value}
        onChange={setValue}
        options={optionsOf(count)}
        trouble={value === 'm3' ? 'Choose another.' : undefined}
      />
      <output>{value}</output>
    </>
  );
}

test('a dozen is the system’s own list', () => {
  render(<Held count={12} />);
  expect(screen.getByRole('combobox', { name: 'What is read' }).tagName).toBe('SELECT');
});

test('more are found by a part of their name, by keys alone', async () => {
  const user = userEvent.setup();
  render(<Held count={40} />);
  const line = await screen.findByRole('combobox', { name: 'What is read' });
  expect(line).toHaveValue('Measure 2');
  await user.clear(line);
  await user.type(line, '37');
  expect(screen.getAllByRole('option').map(each => each.textContent)).toEqual(['Measure 37']);
  await user.keyboard('{ArrowDown}{Enter}');
  expect(screen.getByRole('status')).toHaveTextContent('m37');
});

test('what is typed takes the place of what was chosen, by mouse and by keys', async () => {
  const user = userEvent.setup();
  render(<Held count={40} />);
  const line = await screen.findByRole('combobox', { name: 'What is read' });
  await user.click(line);
  await user.keyboard('37');
  expect(line).toHaveValue('37');
  await user.click(screen.getByRole('option', { name: 'Measure 37' }));
  await user.tab();
  await user.tab({ shift: true });
  await user.keyboard('25');
  expect(line).toHaveValue('25');
});

test('a name that is not there is said to be so, and leaves what was chosen', async () => {
  const user = userEvent.setup();
  render(<Held count={40} />);
  const line = await screen.findByRole('combobox', { name: 'What is read' });
  await user.clear(line);
  await user.type(line, 'yield of gold');
  expect(screen.getByText('Nothing here has that name.')).toBeInTheDocument();
  await user.tab();
  expect(screen.getByRole('status')).toHaveTextContent('m2');
  expect(line).toHaveValue('Measure 2');
});

test('what is wrong stands under it and is tied to it', async () => {
  const user = userEvent.setup();
  render(<Held count={40} />);
  const line = await screen.findByRole('combobox', { name: 'What is read' });
  await user.clear(line);
  await user.type(line, 'Measure 3');
  await user.click(screen.getByRole('option', { name: 'Measure 3' }));
  expect(line).toBeInvalid();
  expect(line).toHaveAccessibleDescription('Choose another.');
});
