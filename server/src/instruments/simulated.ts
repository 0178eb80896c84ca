import { createServer, type Server, type Socket } from 'node:net';
import { ggaOf, written, xdrOf } from '@hurrow/core/nmea';
import { metresBetween } from '@hurrow/core/grounds';
import { TRACK } from './track.ts';

/** A shot that a simulated range-finder makes when its trigger is pulled: to the top of a tree, then to its foot, and again. */
const SHOTS = [
  { distance: 31.42, angle: 47.3, bearing: 118 },
  { distance: 21.36, angle: -4.2, bearing: 118.2 },
];
/** Milliseconds between two fixes. */
const PACE = 1000;
/** Metres walked in a second. */
const SPEED = 1.2;

/** Where somebody is who has walked the recorded track for so many seconds, there and back again. */
export function onTrack(seconds: number): (typeof TRACK)[number] {
  const there = [...TRACK, ...TRACK.slice(1, -1).reverse()];
  const legs = there.map((from, i) => metresBetween(from, there[(i + 1) % there.length]!));
  let left = (seconds * SPEED) % legs.reduce((sum, leg) => sum + leg, 0);
  for (const [i, leg] of legs.entries()) {
    if (left > leg) {
      left -= leg;
      continue;
    }
    const [from, to] = [there[i]!, there[(i + 1) % there.length]!];
    const share = leg === 0 ? 0 : left / leg;
    const between = (a: number, b: number) => a + share * (b - a);
    return {
      latitude: between(from.latitude, to.latitude),
      longitude: between(from.longitude, to.longitude),
      elevation: between(from.elevation, to.elevation),
    };
  }
  return there[0]!;
}

/** A receiver that walks a track recorded by us and says where it is once a second, to everybody who listens at the port. */
export function simulatedReceiver(port: number): Server {
  let second = 0;
  return speaking(port, (socket) => {
    const timer = setInterval(() => {
      second += 1;
      const fix = { ...onTrack(second), seconds: (57_600 + second) % 86_400 };
      socket.write(`${written('GPGGA', ggaOf(fix))}\r\n`);
    }, PACE);
    return () => clearInterval(timer);
  });
}

/** A range-finder whose trigger is pulled by whoever sends it a line: it answers with a shot, to the top and the foot of a tree by turns. */
export function simulatedRangeFinder(port: number): Server & { shoot(): void } {
  const listeners = new Set<Socket>();
  let shots = 0;
  const shoot = () => {
    const sentence = `${written('YXXDR', xdrOf(SHOTS[shots % SHOTS.length]!))}\r\n`;
    shots += 1;
    for (const socket of listeners) socket.write(sentence);
  };
  const server = speaking(port, (socket) => {
    listeners.add(socket);
    socket.on('data', (chunk) => {
      const lines = String(chunk).match(/\n/g)?.length ?? 0;
      for (let i = 0; i < lines; i += 1) shoot();
    });
    return () => listeners.delete(socket);
  });
  return Object.assign(server, { shoot });
}

function speaking(port: number, begin: (socket: Socket) => () => void): Server {
  const server = createServer((socket) => {
    const end = begin(socket);
    socket.on('error', () => undefined);
    socket.on('close', end);
  });
  // Only this machine hears it.
  return server.listen(port, '127.0.0.1');
}
