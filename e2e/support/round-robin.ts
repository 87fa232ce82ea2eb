import { createServer, request as ask, type IncomingMessage, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';

/** A proxy that gives each request to the next of several servers, as a practice's own would. */
export class RoundRobin {
  private readonly server: Server;
  private turn = 0;
  private ports: readonly number[] = [];

  constructor() {
    this.server = createServer((incoming, outgoing) => {
      const port = this.ports[this.turn % this.ports.length];
      this.turn += 1;
      const { method, url: path, headers } = incoming;
      const forwarded = { ...headers, 'x-forwarded-for': '127.0.0.1', 'x-forwarded-proto': 'http' };
      const passed = ask(
        { host: '127.0.0.1', port, method, path, headers: forwarded },
        (answer: IncomingMessage) => {
          outgoing.writeHead(answer.statusCode ?? 502, answer.headers);
          answer.pipe(outgoing);
        },
      );
      passed.on('error', () => outgoing.destroy());
      outgoing.on('close', () => passed.destroy());
      incoming.pipe(passed);
    });
  }

  /** Begins to listen, or goes on with other servers. Gives the port. */
  async serve(ports: readonly number[]): Promise<number> {
    this.ports = ports;
    if (!this.server.listening)
      await new Promise<void>((resolve) => this.server.listen(0, '127.0.0.1', resolve));
    return (this.server.address() as AddressInfo).port;
  }

  async close(): Promise<void> {
    this.server.closeAllConnections();
    await new Promise((resolve) => this.server.close(resolve));
  }
}
