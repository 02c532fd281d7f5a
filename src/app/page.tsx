import { Today } from '@/features/today/Today';
import { today } from '@/service/clock';
import { listTrials } from '@/service/trials';

export const dynamic = 'force-dynamic';

export default async function TodayPage() {
  return <Today summaries={await listTrials()} today={today()} />;
}
