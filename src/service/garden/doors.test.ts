import { isOwnHost, isOwnOrigin } from './doors';

test.each([
  ['127.0.0.1:4321', true],
  ['localhost', true],
  ['garden.localhost:4321', true],
  ['[::1]:4321', true],
  ['192.168.1.20:4321', true],
  ['LOCALHOST:4321', true],
  ['evil.example', false],
  ['127.0.0.1.evil.example', false],
  ['localhost.evil.example:4321', false],
  ['', false],
  [null, false],
  ['a b', false],
])('a request for %j is answered: %s', (host, isOwn) => {
  expect(isOwnHost(host)).toBe(isOwn);
});

test('a name is answered where TURNSPIT_ORIGIN says so, with its port', () => {
  const origins = 'https://garden.example:8443, https://other.example';
  expect(isOwnHost('garden.example:8443', origins)).toBe(true);
  expect(isOwnHost('other.example', origins)).toBe(true);
  expect(isOwnHost('garden.example', origins)).toBe(false);
  expect(isOwnHost('evil.example', origins)).toBe(false);
  expect(isOwnHost('evil.example', 'not an origin')).toBe(false);
});

test('what changes something must come from a page of the garden itself', () => {
  const host = '127.0.0.1:4321';
  expect(isOwnOrigin(null, host)).toBe(true);
  expect(isOwnOrigin('http://127.0.0.1:4321', host)).toBe(true);
  for (const origin of ['http://127.0.0.1:9999', 'https://evil.example', 'null', ''])
    expect(isOwnOrigin(origin, host)).toBe(false);
});
