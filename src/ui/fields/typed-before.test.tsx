import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { renderToString } from 'react-dom/server';
import { TextField } from './TextField';

function Held({ first }: { readonly first: string }) {
  const [value, setValue] = useState(first);
  return (
    <>
      <TextField label="On the scale" name="gross" value={value} onChange={setValue} />
      <output>{value}</output>
    </>
  );
}

/** The page as the server sent it, with what was typed into it before its scripts came. */
function sentPage(typed: string): HTMLElement {
  const page = document.createElement('div');
  page.innerHTML = renderToString(<Held first="" />);
  document.body.append(page);
  const field = page.querySelector('input');
  if (field) field.value = typed;
  return page;
}

test('what was typed before the page’s scripts were there is taken over', () => {
  const container = sentPage('412 g');
  render(<Held first="" />, { container, hydrate: true });
  expect(screen.getByRole('status')).toHaveTextContent('412 g');
});

test('what stands in a field at first is left alone, and can be changed', async () => {
  render(<Held first="3 g" />);
  expect(screen.getByRole('status')).toHaveTextContent('3 g');
  await userEvent.type(screen.getByRole('textbox'), '0');
  expect(screen.getByRole('status')).toHaveTextContent('3 g0');
});
