import { connect, createServer, type AddressInfo } from 'node:net';

/** A port that is free on loopback. */
export const freePort = () =>
  new Promise<number>((done) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo;
      server.close(() => done(port));
    });
  });

/** Whether something listens at a port. */
export const listens = (port: number) =>
  new Promise<boolean>((done) => {
    const line = connect(port, '127.0.0.1', () => (line.end(), done(true)));
    line.once('error', () => done(false));
  });
