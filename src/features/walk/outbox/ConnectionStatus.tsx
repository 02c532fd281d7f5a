import type { Sent } from './send-outbox';
import type { OutboxState } from './use-outbox';

const KEPT_BECAUSE: Readonly<Record<Exclude<Sent, 'answered' | 'signed-out'>, string>> = {
  'no-connection': 'no connection',
  'no-trial': 'the garden has no such trial any more',
  'no-room': 'the garden’s disk is full',
  'not-now': 'the garden can’t take it just now',
};

/** Whether all is sent, and otherwise why what was entered is still kept in this browser. */
export function ConnectionStatus({
  outbox: { waiting, sent, isKnown },
  trialId,
}: {
  readonly outbox: Pick<OutboxState, 'waiting' | 'sent' | 'isKnown'>;
  readonly trialId: string;
}) {
  if (!isKnown) return <span role="status">…</span>;
  if (sent === 'signed-out')
    return (
      <a href={`/enter?to=/trials/${trialId}/walk`}>Come in again: {waiting.length} kept here</a>
    );
  return (
    <span role="status" data-waits={waiting.length > 0 || undefined}>
      {waiting.length === 0
        ? 'all sent'
        : sent === 'answered'
          ? `sending ${waiting.length}`
          : `${KEPT_BECAUSE[sent]}: ${waiting.length} kept here`}
    </span>
  );
}
