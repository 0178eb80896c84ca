import { existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readConfig } from '../config.ts';
import { migrate, openFolder } from './index.ts';
import { lockFolder } from './lock.ts';

const folder = () => mkdtempSync(join(tmpdir(), 'hurrow-test-'));

test('a folder has one owner; a dead owner’s lock is taken over', () => {
  const at = folder();
  writeFileSync(join(at, 'owner.pid'), '1');
  expect(() => lockFolder(at)).toThrow('in use by process 1');
  writeFileSync(join(at, 'owner.pid'), '999999999');
  const unlock = lockFolder(at);
  expect(existsSync(join(at, 'owner.pid'))).toBe(true);
  unlock();
  expect(existsSync(join(at, 'owner.pid'))).toBe(false);
  rmSync(at, { recursive: true });
});

test('what was stored is there after closing and opening again; migrations run once', async () => {
  const at = folder();
  const first = await openFolder(at);
  await migrate(first);
  await first.query(
    `insert into library (id, name, latitude, longitude, elevation) values ('00000000-0000-4000-8000-000000000001', 'Kept', 1, 2, 3)`,
  );
  await expect(
    first.transaction(async (tx) => {
      await tx.query(`update library set name = 'Lost'`);
      throw new Error('half-way');
    }),
  ).rejects.toThrow('half-way');
  await first.close();
  const second = await openFolder(at);
  await migrate(second);
  expect(await second.query('select name from library')).toEqual([{ name: 'Kept' }]);
  await second.close();
  rmSync(at, { recursive: true });
});

test('a store that a broken restore left is refused and nothing in it is touched', async () => {
  const at = folder();
  mkdirSync(join(at, 'store', 'base'), { recursive: true });
  writeFileSync(join(at, 'store', 'base', '1234'), 'rows');
  await expect(openFolder(at)).rejects.toThrow(
    /PG_VERSION is missing.*Copy the whole folder from your backup/,
  );
  expect(readdirSync(join(at, 'store'))).toEqual(['base']);
  // The refusal gives the folder back.
  expect(existsSync(join(at, 'owner.pid'))).toBe(false);
  rmSync(at, { recursive: true });
});

test('settings that cannot be are said with what to set', () => {
  expect(readConfig({})).toMatchObject({ port: 4680, dataFolder: 'data', demo: false });
  expect(() => readConfig({ PORT: 'abc' })).toThrow('port number such as 4680');
  expect(() => readConfig({ HURROW_CLOCK: 'soon' })).toThrow('HURROW_CLOCK');
});
