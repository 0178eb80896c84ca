import { demoFolder, startServer } from './start.ts';
import { median, milliseconds, type Row } from './row.ts';

/** Time from starting the process to its first answer, with existing data. */
export async function server(): Promise<Row[]> {
  const { folder, remove } = demoFolder();
  const times: number[] = [];
  for (let i = 0; i < 5; i += 1) {
    const { readyAfter, stop } = await startServer(folder, 46_810 + i);
    await stop();
    times.push(readyAfter);
  }
  remove();
  return [
    {
      what: 'server ready with existing data, median of 5 starts',
      value: milliseconds(median(times)),
      wanted: '< 2 s',
    },
  ];
}
