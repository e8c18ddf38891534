import { createServer } from 'node:net';

/** The wanted loopback port when it is free, else any free one. */
export async function freePort(wanted = 0): Promise<number> {
  const port = await tryPort(wanted);
  return port ?? (await tryPort(0)) ?? wanted;
}

function tryPort(port: number): Promise<number | null> {
  return new Promise((resolve) => {
    const server = createServer();
    server.once('error', () => resolve(null));
    server.listen(port, '127.0.0.1', () => {
      const address = server.address();
      const found = typeof address === 'object' && address !== null ? address.port : null;
      server.close(() => resolve(found));
    });
  });
}
