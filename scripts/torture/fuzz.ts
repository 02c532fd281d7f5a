// Ten thousand requests that no page sends: none of them is our own fault, and memory comes back.
import { tell, tortureGarden } from './garden';
import { pauseFor, served } from './server';

const METHODS = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS', 'HEAD'];
const SEGMENTS = [
  '',
  'trials',
  'garden',
  'shelf',
  'weather',
  'enter',
  'authority',
  'api',
  'readings',
  'photos',
  'import',
  'verdict',
  'report',
  'backups',
  'walk',
  'judge',
  'tend',
  'weigh',
  'lay-out',
  'print',
  'labels',
  'calendar',
  'new',
  '..',
  '%00',
  '%2e%2e',
  '~',
  'ü',
  '9'.repeat(300),
];
const TYPES = [
  'application/json',
  'application/octet-stream',
  'text/plain',
  'multipart/form-data; boundary=x',
  'application/x-www-form-urlencoded',
  '',
];
const BODIES = [
  '',
  '{',
  '[]',
  '{}',
  'null',
  '[[[[[[[[[[',
  `${'['.repeat(20_000)}${']'.repeat(20_000)}`,
  '{"id":1e308}',
  '{"__proto__":{"a":1}}',
  '[{"id":"x"}]',
  `"${'x'.repeat(100_000)}"`,
  '{"format":"turnspit-trial","version":1,"trial":{"startsOn":"0001-01-01"}}',
  '--x\r\n\r\n',
  '\u0000\u0001',
];
const KINDS = [200, 204, 307, 308, 400, 401, 403, 404, 405, 409, 413, 422];

function pick<Each>(of: readonly Each[]): Each {
  const found = of[Math.floor(Math.random() * of.length)];
  if (found === undefined) throw new RangeError('there must be something to pick from');
  return found;
}

export async function fuzz(times: number): Promise<void> {
  const garden = await tortureGarden();
  const { url, memory, end } = await served(garden.file, 4392);
  const segments = [...SEGMENTS, garden.trialId, garden.unitIds[0] ?? '', garden.measureId];
  const sendOne = async (): Promise<string> => {
    const path = Array.from({ length: 1 + Math.floor(Math.random() * 4) }, () =>
      pick(segments),
    ).join('/');
    const search = pick([
      '',
      '?',
      '?as=json',
      '?key=open',
      '?measure=x',
      `?day=${'9'.repeat(50)}`,
      '?to=//evil.example',
    ]);
    const method = pick(METHODS);
    const headers: Record<string, string> = { 'content-type': pick(TYPES) };
    if (Math.random() < 0.3) headers['next-action'] = pick(['x', '0'.repeat(42), 'constructor']);
    if (Math.random() < 0.2) headers.rsc = '1';
    if (Math.random() < 0.2)
      headers.cookie = `turnspit_session=${pick(['', 'keeper', 'x'.repeat(4000)])}`;
    const body = method === 'GET' || method === 'HEAD' ? undefined : pick(BODIES);
    try {
      const answer = await fetch(`${url}/${path}${search}`, {
        method,
        headers,
        body,
        redirect: 'manual',
      });
      await answer.arrayBuffer();
      return answer.status >= 500 || !KINDS.includes(answer.status)
        ? `${answer.status} ${method} /${path.slice(0, 80)}${search} ${headers['next-action'] ?? ''} ${headers['content-type']} ${body?.slice(0, 30) ?? ''}`
        : String(answer.status);
    } catch (error) {
      return `no answer: ${String(error)}`;
    }
  };
  for (let i = 0; i < 300; i++) await sendOne(); // warm
  await pauseFor(5000);
  const before = memory();
  const seen = new Map<string, number>();
  for (let i = 0; i < times; i += 20)
    for (const said of await Promise.all(Array.from({ length: 20 }, sendOne)))
      seen.set(said, (seen.get(said) ?? 0) + 1);
  tell('requests; memory before, MB', `${times}; ${before.toFixed(0)}`);
  tell('at their end', memory().toFixed(0));
  await pauseFor(60_000);
  tell('a minute later', memory().toFixed(0));
  for (const [said, count] of [...seen].sort((a, b) => b[1] - a[1]).slice(0, 40))
    tell(said.slice(0, 200), count);
  await end();
}
