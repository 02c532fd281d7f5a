import { styled } from 'styled-components';
import { Button } from '@/ui/Button';
import { Soft } from '@/ui/Page';
import type { VerdictDetailsState } from './use-verdict-details';

/** Says that the rest of the page is still to come, or that it did not. */
export function DetailsLoading({
  state: { rest, isFailed, fetchAgain },
}: {
  readonly state: VerdictDetailsState;
}) {
  if (isFailed)
    return (
      <p role="alert">
        What stands beside the answer didn’t come: the connection broke off.{' '}
        <Button data-tone="quiet" onPress={fetchAgain}>
          Fetch it again
        </Button>
      </p>
    );
  return rest ? null : <OnItsWay />;
}

/** While what was asked for, or what shows it, is still to come: an empty page would seem to be all there is. */
export function OnItsWay() {
  return <Waiting role="status">The rest of this page is on its way …</Waiting>;
}

/** What stands below must not be pushed away under a hand when it comes. */
const Waiting = styled(Soft)`
  min-height: 60vh;
`;
