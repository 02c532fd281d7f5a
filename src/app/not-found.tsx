import { Link } from '@/ui/Link';
import { Page } from '@/ui/Page';

export default function NotFound() {
  return (
    <Page>
      <h1>There is no such page</h1>
      <p>
        There is no such trial or page, or not any more. <Link href="/trials">See all trials.</Link>
      </p>
    </Page>
  );
}
