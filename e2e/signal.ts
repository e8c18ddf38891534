import { createServer, request as ask, type Server } from 'node:http';
import type { AddressInfo, Socket } from 'node:net';
import type { Page } from '@playwright/test';

/** A way to the server that can be cut and mended, as a signal in a bilge is. */
export class Signal {
  private server: Server | undefined;
  private readonly sockets = new Set<Socket>();
  private port = 0;
  /** So long each request takes on its way, ms. */
  delayMs = 0;
  /** Set: the server has a release of this name, whose service worker differs from the one before. */
  release = '';

  private constructor(private readonly to: URL) {}

  static async to(address: string): Promise<Signal> {
    const signal = new Signal(new URL(address));
    await signal.mend();
    return signal;
  }

  get address(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** As it was made. */
  async reset(): Promise<void> {
    this.delayMs = 0;
    this.release = '';
    if (!this.server) await this.mend();
  }

  /** Nothing is reached any more. */
  async cut(): Promise<void> {
    const { server } = this;
    this.server = undefined;
    for (const socket of this.sockets) socket.destroy();
    await new Promise<void>((resolve) => (server ? server.close(() => resolve()) : resolve()));
  }

  /** The server is reached again under the same address. */
  async mend(): Promise<void> {
    const server = createServer((incoming, answer) => {
      const { url: path, method, headers } = incoming;
      const renewed = path === '/sw.js' && this.release !== '';
      const sent = renewed ? { ...headers, 'accept-encoding': 'identity' } : headers;
      const onward = ask({ host: this.to.hostname, port: this.to.port, path, method, headers: sent }, (from) => {
        const { 'content-length': _length, etag: _tag, ...others } = from.headers;
        answer.writeHead(from.statusCode ?? 502, renewed ? others : from.headers);
        if (renewed) answer.write(`// ${this.release}\n`);
        from.pipe(answer);
      });
      onward.on('error', () => answer.destroy());
      answer.on('close', () => onward.destroy());
      setTimeout(() => incoming.pipe(onward), this.delayMs);
    });
    server.on('connection', (socket) => {
      this.sockets.add(socket);
      socket.on('close', () => this.sockets.delete(socket));
    });
    await new Promise<void>((resolve) => server.listen(this.port, '127.0.0.1', resolve));
    this.port = (server.address() as AddressInfo).port;
    this.server = server;
  }
}

/** Waits until every file of the application lies on the device. */
export async function onDevice(page: Page): Promise<void> {
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
}
