import { fireEvent, render, screen } from '@testing-library/react';
import { PanelBoundary } from './PanelBoundary';

function Picture({ of }: { readonly of: { readonly isThere: boolean } }) {
  if (!of.isThere) throw new Error('could not be fetched');
  return <p>the picture</p>;
}

test('a part that breaks takes nothing with it, and can be tried again', () => {
  const silent = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  const picture = { isThere: false };
  render(
    <>
      <PanelBoundary what="The picture">
        <Picture of={picture} />
      </PanelBoundary>
      <p>all else</p>
    </>,
  );
  expect(screen.getByText(/^The picture could not be opened/)).toBeVisible();
  expect(screen.getByText('all else')).toBeVisible();
  picture.isThere = true;
  fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
  expect(screen.getByText('the picture')).toBeVisible();
  silent.mockRestore();
});
