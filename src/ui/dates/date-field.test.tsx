import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { I18nProvider } from 'react-aria-components';
import { TextField } from '@/ui/fields/TextField';

function Held({ first = '2026-11-30' }: { readonly first?: string }) {
  const [value, setValue] = useState(first);
  return (
    <>
      <TextField label="Picked on" name="on" type="date" value={value} onChange={setValue} />
      <output>{value}</output>
    </>
  );
}

const show = (locale: string) =>
  render(
    <I18nProvider locale={locale}>
      <Held />
    </I18nProvider>,
  );

test.each([
  ['en-GB', '30/11/2026', '3/4/2026', '2026-04-03', '03/04/2026'],
  ['en-US', '11/30/2026', '3/4/2026', '2026-03-04', '03/04/2026'],
])('in %s a day stands as %s; “%s” is %s', async (locale, first, typed, day, shown) => {
  show(locale);
  const field = screen.getByLabelText('Picked on');
  expect(field).toHaveValue(first);
  await userEvent.clear(field);
  await userEvent.type(field, typed);
  expect(field).toHaveValue(typed);
  expect(screen.getByRole('status')).toHaveTextContent(day);
  await userEvent.tab();
  expect(field).toHaveValue(shown);
});

test('what is no day stays as it was typed', async () => {
  show('en-GB');
  const field = screen.getByLabelText('Picked on');
  await userEvent.clear(field);
  await userEvent.type(field, 'last week');
  await userEvent.tab();
  expect(field).toHaveValue('last week');
  expect(screen.getByRole('status')).toHaveTextContent('last week');
});

test('a day is chosen on the calendar, by keys too', async () => {
  show('en-GB');
  await userEvent.click(screen.getByRole('button', { name: 'Open the calendar' }));
  expect(await screen.findByRole('grid', { name: /November 2026/ })).toBeVisible();
  await userEvent.click(screen.getByRole('button', { name: /^Friday,? 13 November 2026/ }));
  expect(screen.getByRole('status')).toHaveTextContent('2026-11-13');
  expect(screen.getByLabelText('Picked on')).toHaveValue('13/11/2026');
  expect(screen.queryByRole('grid')).toBeNull();
});
