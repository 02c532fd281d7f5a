import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { WriterName } from './WriterName';
import { keepName, writerName } from './writer-name';

beforeEach(() => window.localStorage.clear());

test('who writes is asked once in a browser, goes along with every entry, and can be changed', async () => {
  const user = userEvent.setup();
  const { unmount } = render(<WriterName />);
  expect(writerName()).toBe('');
  await user.type(await screen.findByRole('textbox', { name: 'Who writes this down?' }), '  Ida ');
  await user.click(screen.getByRole('button', { name: 'Keep the name' }));
  expect(writerName()).toBe('Ida');
  unmount();
  render(<WriterName />);
  expect(screen.getByText('Ida')).toBeVisible();
  expect(screen.queryByRole('textbox')).toBeNull();
  await user.click(screen.getByRole('button', { name: 'Somebody else writes' }));
  await user.clear(await screen.findByRole('textbox'));
  await user.type(screen.getByRole('textbox'), 'Jory{Enter}');
  expect(writerName()).toBe('Jory');
});

test('no name is an answer, too, and is not asked again', async () => {
  const user = userEvent.setup();
  render(<WriterName />);
  await user.click(await screen.findByRole('button', { name: 'Without a name' }));
  expect(screen.getByText(/without a name/)).toBeVisible();
  expect(writerName()).toBe('');
});

test('what another program stored under the key, however long, never gets into an entry', () => {
  window.localStorage.setItem('turnspit-writer', 'x'.repeat(500));
  expect(writerName()).toBe('');
  keepName('y'.repeat(500));
  expect(writerName()).toHaveLength(80);
});
