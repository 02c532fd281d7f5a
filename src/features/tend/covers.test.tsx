import { render, screen } from '@testing-library/react';
import { Covers } from './Covers';

const CODES = ['AB1', 'CD2', 'EF3', 'GH4'];
const line = (codes: readonly string[], off: string | null = null) => ({
  name: 'fleece',
  on: '2026-05-02',
  off,
  codes,
});

test.each([
  [line(CODES), 'fleece, on since 2 May: all 4 pots'],
  [line(CODES.slice(1)), 'fleece, on since 2 May: all but AB1'],
  [line(CODES.slice(0, 2)), 'fleece, on since 2 May: AB1 CD2'],
  [line(CODES, '2026-05-09'), 'fleece, 2 May to 9 May: all 4 pots'],
])('%o is said shortly', (each, says) => {
  render(<Covers lines={[each]} unitWord="pot" codes={CODES} />);
  expect(screen.getByRole('listitem').textContent).toBe(says);
});

test('where nothing was ever covered nothing is said', () => {
  const { container } = render(<Covers lines={[]} unitWord="pot" codes={CODES} />);
  expect(container.textContent).toBe('');
});
