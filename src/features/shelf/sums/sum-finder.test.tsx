import { fireEvent, render, screen } from '@testing-library/react';
import { Sums } from './Sums';
import { SHED_SUMS } from './shed-sums';

const asked = jest.fn<string | null, []>(() => null);
jest.mock('next/navigation', () => ({ useSearchParams: () => ({ get: () => asked() }) }));

const titles = (): readonly (string | undefined)[] =>
  screen.getAllByRole('link').map(link => link.querySelector('b')?.textContent ?? undefined);

test('all sums stand there; what is typed narrows them by their own words and by others', () => {
  render(<Sums system="uk" />);
  expect(titles()).toHaveLength(SHED_SUMS.length);
  const find = (words: string) =>
    fireEvent.change(screen.getByLabelText('Find a sum'), { target: { value: words } });
  find('dilu');
  expect(titles()).toEqual(['A spray']);
  find('compost hot');
  expect(titles()).toEqual(['A hot heap']);
  find('tractor');
  expect(screen.queryAllByRole('link')).toEqual([]);
  expect(screen.getByRole('status')).toHaveTextContent('No sum has to do with “tractor”.');
});

test.each(SHED_SUMS)('$title opens by its address, alone, with its cautions', ({ key, title }) => {
  asked.mockReturnValue(key);
  render(<Sums system="uk" />);
  expect(screen.getByRole('region', { name: title })).toBeVisible();
  expect(screen.getByRole('link', { name: 'All the sums' })).toHaveAttribute('href', '/shelf/sums');
  expect(screen.queryByLabelText('Find a sum')).toBeNull();
});
