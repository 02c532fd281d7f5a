import { X509Certificate } from 'node:crypto';
import { mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { authorityCertificate, certificateFor, hasAuthority } from './authority';
import { enter } from './enter';
import { isPassphraseSet, roleOfPassphrase, setPassphrases, signAllOut } from './passphrase';
import { newSession, roleOfSession, SESSION_DAYS } from './session';
import { isShared, sharingTrouble } from './shared';
import { forgetWrongTries, noteWrongTry, waitBeforeTry } from './wrong-tries';

let folder = '';
const NOW = Date.parse('2026-11-29T12:00:00Z');
const DAY = 86_400_000;

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'turnspit-'));
  process.env.TURNSPIT_DATA = join(folder, 'garden.sqlite');
  forgetWrongTries();
});
afterEach(() => {
  rmSync(folder, { recursive: true, force: true });
  delete process.env.TURNSPIT_SHARED;
});

const shared = () => setPassphrases('beans and barrows', 'helping hands');

describe('passphrases', () => {
  test('tell keepers from helpers from strangers, and are kept as hashes for this user alone', async () => {
    expect(isPassphraseSet()).toBe(false);
    expect(await roleOfPassphrase('beans and barrows')).toBeUndefined();
    expect((await shared()).ok).toBe(true);
    expect(await roleOfPassphrase('beans and barrows')).toBe('keeper');
    expect(await roleOfPassphrase('helping hands')).toBe('helper');
    for (const wrong of ['', 'beans', 'Beans and barrows', 'helping hands '])
      expect(await roleOfPassphrase(wrong)).toBeUndefined();
    expect(statSync(join(folder, 'share.json')).mode & 0o777).toBe(0o600);
  });

  test('must be long enough, and two; without helpers nobody comes in as one', async () => {
    expect(await setPassphrases('short', '')).toMatchObject({ ok: false });
    expect(await setPassphrases('long enough it is', 'short')).toMatchObject({ ok: false });
    expect(await setPassphrases('long enough it is', 'long enough it is')).toMatchObject({
      ok: false,
    });
    await setPassphrases('long enough it is', '');
    expect(await roleOfPassphrase('')).toBeUndefined();
  });
});

describe('sessions', () => {
  test('last their days, and end for all at once', async () => {
    await shared();
    const session = newSession('helper', NOW);
    expect(roleOfSession(session, NOW + (SESSION_DAYS - 1) * DAY)).toBe('helper');
    expect(roleOfSession(session, NOW + (SESSION_DAYS + 1) * DAY)).toBeUndefined();
    signAllOut();
    expect(roleOfSession(session, NOW)).toBeUndefined();
    expect(roleOfSession(newSession('keeper', NOW), NOW)).toBe('keeper');
  });

  test('nothing made up is one: not another role, not another day, not a single other letter', async () => {
    await shared();
    const session = newSession('helper', NOW);
    expect(roleOfSession(session.replace('helper', 'keeper'), NOW)).toBeUndefined();
    fc.assert(
      fc.property(
        fc.nat(session.length - 1),
        fc.string({ minLength: 1, maxLength: 1 }),
        (at, letter) => {
          fc.pre(session[at] !== letter);
          const changed = session.slice(0, at) + letter + session.slice(at + 1);
          expect(roleOfSession(changed, NOW)).toBeUndefined();
        },
      ),
    );
    fc.assert(
      fc.property(fc.string({ maxLength: 120 }), said => {
        expect(roleOfSession(said, NOW)).toBeUndefined();
      }),
    );
    await setPassphrases('another garden’s', '');
    expect(roleOfSession(session, NOW)).toBeUndefined();
  });
});

describe('coming in', () => {
  test('after some wrong tries one waits, longer each time, and is told how long', async () => {
    await shared();
    for (let i = 0; i < 4; i++) expect(await enter('not it at all')).toMatchObject({ ok: false });
    expect(await enter('beans and barrows')).toEqual({
      ok: false,
      trouble: 'Too many wrong tries. Wait 1 second, then try again.',
    });
    forgetWrongTries();
    expect(await enter('beans and barrows')).toMatchObject({ ok: true, value: { role: 'keeper' } });
    const waits = Array.from({ length: 14 }, () => {
      noteWrongTry(NOW);
      return waitBeforeTry(NOW);
    });
    expect(waits.slice(0, 6)).toEqual([0, 0, 0, 1000, 2000, 4000]);
    expect(waits.at(-1)).toBe(60_000);
    expect(waitBeforeTry(NOW + 16 * 60_000)).toBe(0);
  });

  test.each([[null], [7], [{}], [''], ['x'.repeat(5000)]])(
    'nonsense is no passphrase: %j',
    async said => {
      await shared();
      expect(await enter(said)).toMatchObject({ ok: false });
    },
  );
});

test('a server that others can reach does not start without a passphrase', async () => {
  expect([isShared(), sharingTrouble()]).toEqual([false, undefined]);
  process.env.TURNSPIT_SHARED = '1';
  expect(sharingTrouble()).toContain('npm run share');
  await shared();
  expect([isShared(), sharingTrouble()]).toEqual([true, undefined]);
});

test('the garden vouches for its own addresses, by an authority that is made once', async () => {
  expect([hasAuthority(), authorityCertificate()]).toEqual([false, undefined]);
  const first = await certificateFor(['192.0.2.7', 'shed.local', 'localhost']);
  const second = await certificateFor(['192.0.2.8']);
  const authority = new X509Certificate(authorityCertificate() ?? '');
  const [leaf, other] = [first, second].map(made => new X509Certificate(made.certificate));
  expect([authority.ca, leaf?.ca]).toEqual([true, false]);
  expect([leaf?.verify(authority.publicKey), other?.verify(authority.publicKey)]).toEqual([
    true,
    true,
  ]);
  expect([leaf?.checkIP('192.0.2.7'), leaf?.checkIP('192.0.2.8')]).toEqual([
    '192.0.2.7',
    undefined,
  ]);
  expect([leaf?.checkHost('shed.local'), leaf?.checkHost('evil.example')]).toEqual([
    'shed.local',
    undefined,
  ]);
  const days = (Date.parse(leaf?.validTo ?? '') - Date.parse(leaf?.validFrom ?? '')) / DAY;
  expect(days).toBeLessThanOrEqual(398);
  expect(statSync(join(folder, 'authority', 'garden.key')).mode & 0o777).toBe(0o600);
});
