// Writes into a garden until it is killed, and says on its output what was answered, line by line.
import { writeSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { v7 } from 'uuid';
import { addDays } from '@/core/time/garden-day';
import { restore } from '@/service/files/backup';
import { backUpNow } from '@/service/files/daily-backups';
import { today } from '@/service/garden/clock';
import { closeStore, startStore } from '@/service/garden/start';
import { keepPhoto } from '@/service/inspect/photos';
import { tickOff } from '@/service/tend/care-acts';
import { findTrial } from '@/service/trial/trials';
import { importReadings } from '@/service/weigh/import-readings';
import { takePick } from '@/service/weigh/picks';
import { takeReadings } from '@/service/weigh/readings';

const [what = '', trialId = '', measureId = '', ruleId = '', folder = ''] = process.argv.slice(2);

/** Told at once and by the system itself: what stands here was answered before the kill. */
function answered(kind: string, id: string): void {
  writeSync(1, `${kind} ${id}\n`);
}

async function write(): Promise<void> {
  const data = await findTrial(trialId);
  if (!data) throw new Error('the trial must be there');
  const units = data.units.map(unit => unit.id);
  const picture = await sharp({
    create: { width: 40, height: 30, channels: 3, background: '#5a7' },
  })
    .jpeg()
    .toBuffer();
  const taken = new Set(data.care.acts.map(act => act.nth));
  let nth = 0;
  // Begun somewhere else each time, so that a kill may come in the middle of any of them.
  for (let i = Math.floor(Math.random() * 60); ; i++) {
    const [unitId = ''] = units.slice(i % units.length);
    const id = v7();
    switch (i % 6) {
      case 0:
      case 1: {
        const sent = await takeReadings(trialId, [
          {
            id,
            unitId,
            measureId,
            takenOn: today(),
            subsample: id.slice(-12),
            value: '3',
            outcome: 'picked',
            note: '',
            isRepeat: false,
            supersedes: null,
          },
        ]);
        if (sent.ok && sent.value[0]?.result.ok) answered('reading', id);
        break;
      }
      case 2: {
        const taken = await takePick(trialId, {
          id,
          unitId,
          pickedOn: today(),
          outcome: 'picked',
          pieces: '3',
          gross: '120',
          tare: '',
          grade: 'sound',
          cullReason: null,
          note: id,
          supersedes: null,
          isSecond: true,
          by: '',
        });
        if (taken.ok) answered('pick', id);
        break;
      }
      case 3: {
        while (taken.has(nth)) nth += 1;
        taken.add(nth);
        const ticked = await tickOff(trialId, {
          id,
          ruleId,
          nth,
          doneOn: addDays(today(), -1),
          isSkipped: false,
        });
        if (ticked.ok) answered('act', id);
        break;
      }
      case 4: {
        const kept = await keepPhoto(
          trialId,
          { id, unitId, takenOn: today(), shows: 'plant' },
          picture,
        );
        if (kept.ok) answered('photo', id);
        break;
      }
      default: {
        const parts = Array.from(
          { length: 20 },
          (_, part) => `${data.units[part % units.length]?.code},${id.slice(-8)}-${part},4`,
        );
        const read = await importReadings(trialId, {
          id,
          csv: ['pot,part,leaves', ...parts].join('\n'),
          roles: [{ kind: 'unit' }, { kind: 'part' }, { kind: 'measure', measureId, unit: '' }],
          day: today(),
        });
        if (read.ok) answered('import', id);
        if (i % 30 === 5) {
          const made = await backUpNow('by-hand');
          if (made.ok) answered('backup', made.value);
        }
      }
    }
  }
}

async function run(): Promise<void> {
  if (what === 'restore') {
    const restored = await restore(folder, true);
    answered('restored', restored.ok ? 'well' : restored.trouble.kind);
    return;
  }
  const started = await startStore();
  answered('started', started.ok ? 'well' : started.trouble.kind);
  if (what === 'write') await write();
  await closeStore();
}

void run().catch((error: unknown) => {
  writeSync(2, `${join('victim', what)}: ${String(error)}\n`);
  process.exit(1);
});
