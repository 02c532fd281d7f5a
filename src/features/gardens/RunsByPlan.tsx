import { Link } from '@/ui/Link';
import { Mind } from '@/ui/Page';

interface RunsByPlanProps {
  readonly isLocked: boolean;
  readonly layOutHref: string;
}

/** What binds a trial that was begun from another garden’s plan. */
export function RunsByPlan({ isLocked, layOutHref }: RunsByPlanProps) {
  return (
    <Mind>
      This trial runs by another garden’s plan. With other treatments, or another main measure, it
      could not be judged together with theirs; the days are your own.{' '}
      {!isLocked && <Link href={layOutHref}>Go on and lay it out</Link>}
    </Mind>
  );
}
