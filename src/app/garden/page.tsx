import type { Metadata } from 'next';
import { leaveAction, leaveEverywhereAction } from '@/app/enter/actions';
import { isKeeper } from '@/app/role';
import { Backups } from '@/features/garden/Backups';
import { DemoDay } from '@/features/garden/DemoDay';
import { GardenFiles } from '@/features/garden/GardenFiles';
import { GardenForm } from '@/features/garden/GardenForm';
import { SharedWith } from '@/features/sharing/SharedWith';
import { listBackups } from '@/service/files/daily-backups';
import { currentGarden } from '@/service/garden/garden';
import { hasAuthority } from '@/service/sharing/authority';
import { isShared } from '@/service/sharing/shared';
import { leaveDemoDayAction, makeBackupAction, saveGardenAction } from './actions';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Garden' };

export default async function GardenPage() {
  const { name, system, latitude, altitudeM, lastFrost, firstFrost, timeZone, demoDay } =
    await currentGarden();
  return (
    <GardenForm
      name={name}
      system={system}
      latitude={latitude}
      altitudeM={altitudeM}
      lastFrost={lastFrost}
      firstFrost={firstFrost}
      timeZone={timeZone}
      timeZones={Intl.supportedValuesOf('timeZone')}
      save={saveGardenAction}
    >
      {isShared() && (
        <SharedWith
          isKeeper={await isKeeper()}
          hasAuthority={hasAuthority()}
          leave={leaveAction}
          leaveEverywhere={leaveEverywhereAction}
        />
      )}
      {demoDay !== '' && <DemoDay day={demoDay} leave={leaveDemoDayAction} />}
      <GardenFiles />
      <Backups backups={await listBackups()} make={makeBackupAction} />
    </GardenForm>
  );
}
