import { connect, type AddressInfo, type Socket } from 'node:net';
import { once } from 'node:events';
import { limitedServer, LIMITS } from './limits';

const opened: Socket[] = [];

async function listening(limits: Partial<typeof LIMITS>) {
  const server = limitedServer(
    (request, response) => {
      request.resume();
      request.on('end', () => response.end('taken'));
      request.on('error', () => undefined);
    },
    { ...LIMITS, ...limits },
  );
  server.listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as AddressInfo;
  const dial = async () => {
    const socket = connect(port, '127.0.0.1');
    opened.push(socket);
    socket.on('error', () => undefined);
    await once(socket, 'connect');
    return socket;
  };
  return { server, dial };
}

/** What comes back until the other side closes. */
async function untilClosed(socket: Socket): Promise<string> {
  let text = '';
  socket.on('data', (piece: Buffer) => (text += piece.toString('latin1')));
  await once(socket, 'close');
  return text;
}

afterEach(() => {
  for (const socket of opened.splice(0)) socket.destroy();
});

describe('a connection', () => {
  it('whose body trickles in is let go, and others are answered meanwhile', async () => {
    const { server, dial } = await listening({ requestMs: 300, headersMs: 300, checkEveryMs: 50 });
    const slow = await dial();
    slow.write('POST / HTTP/1.1\r\nHost: a\r\nContent-Length: 1000\r\n\r\nx');
    const trickle = setInterval(() => slow.write('x'), 40);
    const quick = await dial();
    quick.write('POST / HTTP/1.1\r\nHost: a\r\nContent-Length: 1\r\nConnection: close\r\n\r\nx');
    expect(await untilClosed(quick)).toMatch(/^HTTP\/1\.1 200 [\s\S]*taken/);
    expect(await untilClosed(slow)).toMatch(/^HTTP\/1\.1 408 /);
    clearInterval(trickle);
    server.close();
  });

  it('whose headers never end is let go', async () => {
    const { server, dial } = await listening({ requestMs: 5000, headersMs: 200, checkEveryMs: 50 });
    const slow = await dial();
    slow.write('GET / HTTP/1.1\r\nHost: a\r\nX-Slow: ');
    expect(await untilClosed(slow)).toMatch(/^HTTP\/1\.1 408 /);
    server.close();
  });

  it('over the number that is held is dropped; the next one is taken once there is room', async () => {
    const { server, dial } = await listening({ connections: 2 });
    const [first] = [await dial(), await dial()];
    const third = await dial();
    expect(await untilClosed(third)).toBe('');
    first?.destroy();
    await new Promise((resolve) => setTimeout(resolve, 50));
    const again = await dial();
    again.write('GET / HTTP/1.1\r\nHost: a\r\nConnection: close\r\n\r\n');
    expect(await untilClosed(again)).toMatch(/^HTTP\/1\.1 200 /);
    for (const socket of opened) socket.destroy();
    server.close();
  });
});
