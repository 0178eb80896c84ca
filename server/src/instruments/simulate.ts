import { createInterface } from 'node:readline';
import { simulatedRangeFinder, simulatedReceiver } from './simulated.ts';

/** A receiver and a range-finder as a process of their own: `npm run instruments`. A real one takes the place of either by its address. */
const [receiverPort = 4681, rangeFinderPort = 4682] = process.argv.slice(2).map(Number);
simulatedReceiver(receiverPort);
const rangeFinder = simulatedRangeFinder(rangeFinderPort);
console.log(
  `The simulated receiver speaks at 127.0.0.1:${receiverPort}, the range-finder at 127.0.0.1:${rangeFinderPort}.`,
);
console.log('Press Enter to pull the trigger of the range-finder: the top of a tree, then its foot.');
createInterface({ input: process.stdin }).on('line', () => rangeFinder.shoot());
