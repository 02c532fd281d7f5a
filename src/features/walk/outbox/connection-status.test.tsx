import { render, screen } from '@testing-library/react';
import { ConnectionStatus } from './ConnectionStatus';
import type { WaitingEntry } from './outbox';

const entry: WaitingEntry = { seq: 1, trialId: 'a', entry: { id: 'entry' }, refusal: null };
const shown = (sent: Parameters<typeof ConnectionStatus>[0]['outbox']['sent'], isKnown = true) =>
  render(<ConnectionStatus outbox={{ waiting: [entry], sent, isKnown }} trialId="a" />);

test.each([
  ['answered', 'sending 1'],
  ['no-connection', 'no connection: 1 kept here'],
  ['no-room', 'the garden’s disk is full: 1 kept here'],
  ['no-trial', 'the garden has no such trial any more: 1 kept here'],
  ['not-now', 'the garden can’t take it just now: 1 kept here'],
] as const)('%s is said as it is', (sent, says) => {
  shown(sent);
  expect(screen.getByRole('status').textContent).toBe(says);
});

test('signed out, the way back in is a link, and what waits is counted', () => {
  shown('signed-out');
  const link = screen.getByRole('link', { name: 'Come in again: 1 kept here' });
  expect(link.getAttribute('href')).toBe('/enter?to=/trials/a/walk');
});

test('before the store was looked into nothing is claimed', () => {
  shown('answered', false);
  expect(screen.getByRole('status').textContent).toBe('…');
});
