import { fireEvent, render, screen } from '@testing-library/react';
import { BareButton } from '@/ui/BareButton';
import { ChosenUnitProvider, useChosenUnit } from './ChosenUnit';

function Pots() {
  const { unitId, choose } = useChosenUnit();
  return (
    <>
      <BareButton onClick={() => choose('b')}>choose b</BareButton>
      <BareButton onClick={() => choose(null)}>none</BareButton>
      <output>{unitId ?? 'none chosen'}</output>
    </>
  );
}

const page = () =>
  render(
    <ChosenUnitProvider>
      <Pots />
    </ChosenUnitProvider>,
  );

test('the chosen pot is chosen still after a reload, until it is let go', () => {
  page().unmount();
  page();
  expect(screen.getByRole('status')).toHaveTextContent('none chosen');
  fireEvent.click(screen.getByRole('button', { name: 'choose b' }));
  expect(screen.getByRole('status')).toHaveTextContent('b');
  document.body.innerHTML = '';
  page();
  expect(screen.getByRole('status')).toHaveTextContent('b');
  fireEvent.click(screen.getByRole('button', { name: 'none' }));
  document.body.innerHTML = '';
  page();
  expect(screen.getByRole('status')).toHaveTextContent('none chosen');
});
