import { fireEvent, render, screen } from '@testing-library/react';
import { FirstFew } from './FirstFew';

const list = (shown: readonly string[]) => (
  <ul>
    {shown.map(each => (
      <li key={each}>{each}</li>
    ))}
  </ul>
);

test('shows the first few, says how many more, and all on demand; a short list has no button', () => {
  const { rerender } = render(
    <FirstFew of={['a', 'b', 'c', 'd', 'e']} first={2}>
      {list}
    </FirstFew>,
  );
  expect(screen.getAllByRole('listitem')).toHaveLength(2);
  fireEvent.click(screen.getByRole('button', { name: 'Show 3 more' }));
  expect(screen.getAllByRole('listitem')).toHaveLength(5);
  rerender(
    <FirstFew of={['a', 'b']} first={2}>
      {list}
    </FirstFew>,
  );
  expect(screen.queryByRole('button')).toBeNull();
});
