import type { RequestHandler } from 'express';
import { Problem } from './problem';

/** Names under which a server on this machine is reached. */
const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];

/** The name of a host header, without its port; null for one that is none. */
function nameOf(host: string | undefined): string | null {
  return /^(\[[0-9a-f:.]+\]|[^:\s/@]+)(?::\d{1,5})?$/i.exec(host ?? '')?.[1]?.toLowerCase() ?? null;
}

/**
 * Answers only those who came to it by a name of its own: a page elsewhere that has its own name lead to this machine is
 * refused, and so is any request to the API that another site had the browser send.
 * @param hosts further names under which a proxy serves it
 */
export function sameSite(hosts: readonly string[]): RequestHandler {
  const known = new Set([...LOOPBACK, ...hosts.map((host) => host.toLowerCase())]);
  return (request, _response, next) => {
    const name = nameOf(request.get('Host'));
    if (name === null || !known.has(name))
      throw new Problem(421, 'foreign-host', 'This server is not known by that name. See HOSTS_ALLOWED.');
    const from = request.get('Sec-Fetch-Site');
    const toApi = request.path === '/api' || request.path.startsWith('/api/');
    const cross = from === 'cross-site' || from === 'same-site' || foreignOrigin(request.get('Origin'), known);
    if (toApi && cross) throw new Problem(403, 'cross-site', 'Another site may not ask this of the server.');
    next();
  };
}

function foreignOrigin(origin: string | undefined, known: ReadonlySet<string>): boolean {
  if (origin === undefined) return false;
  const name = URL.canParse(origin) ? new URL(origin).hostname.toLowerCase() : null;
  return name === null || !known.has(name);
}
