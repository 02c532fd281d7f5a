/** Names under which a server answers that somebody else's page can't take for itself. */
const LOOPBACK = /^(?:localhost|.+\.localhost)$/;
const IPV4 = /^\d{1,3}(?:\.\d{1,3}){3}$/;
const IPV6 = /^\[[0-9a-f:.]+\]$/;

/**
 * Whether a request's Host is one that this garden answers to: this machine's own names, an address in figures, and what
 * TURNSPIT_ORIGIN names. A name that another site has pointed here is none (DNS rebinding).
 *
 * @param origins of TURNSPIT_ORIGIN, with commas between them: `https://garden.example:8443`
 */
export function isOwnHost(host: string | null, origins = ''): boolean {
  const name = hostName(host);
  if (name === undefined) return false;
  return (
    LOOPBACK.test(name) ||
    IPV4.test(name) ||
    IPV6.test(name) ||
    origins.split(',').some(origin => originHost(origin) === host?.toLowerCase())
  );
}

/** Whether a request that changes something comes from a page of this garden. A program that sends no Origin is no browser. */
export function isOwnOrigin(origin: string | null, host: string | null): boolean {
  return origin === null || (host !== null && originHost(origin) === host.toLowerCase());
}

function hostName(host: string | null): string | undefined {
  return /^((?:\[[^\]]*\]|[^:]+))(?::\d{1,5})?$/.exec(host?.toLowerCase() ?? '')?.[1];
}

/** `garden.example:8443` of an origin; undefined where it is none. */
function originHost(origin: string): string | undefined {
  return URL.canParse(origin.trim()) ? new URL(origin.trim()).host : undefined;
}
