import { createServer, type RequestListener, type Server } from 'node:http';

/** How long connections are held, and how many; ms. */
export interface Limits {
  readonly keepAliveMs: number;
  readonly headersMs: number;
  readonly requestMs: number;
  readonly checkEveryMs: number;
  readonly connections: number;
}

export const LIMITS: Limits = {
  // Longer than a browser leaves a connection idle: one closed here just as a request goes out fails that request.
  keepAliveMs: 65_000,
  headersMs: 20_000,
  // A body that trickles in holds a connection no longer than this, and no more are held at once.
  requestMs: 40_000,
  checkEveryMs: 5000,
  connections: 2000,
};

/** A server that nobody can hold for long, or wholly. */
export function limitedServer(app: RequestListener, limits: Limits = LIMITS): Server {
  const server = createServer({ connectionsCheckingInterval: limits.checkEveryMs }, app);
  server.keepAliveTimeout = limits.keepAliveMs;
  server.headersTimeout = limits.headersMs;
  server.requestTimeout = limits.requestMs;
  server.maxConnections = limits.connections;
  return server;
}
