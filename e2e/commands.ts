import { spawn, spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { expect } from '@playwright/test';

const root = fileURLToPath(new URL('../', import.meta.url));

/** The lines of all blocks of a kind on a page of docs. */
export const commandsOf = (page: string, kind: string): string[] =>
  [
    ...readFileSync(`${root}docs/${page}`, 'utf8').matchAll(new RegExp(`\`\`\`${kind}\n([^\`]*)\`\`\``, 'g')),
  ].flatMap(([, block]) => block!.trim().split('\n'));

const run = (command: string, env: Record<string, string>) =>
  spawnSync(command, { shell: true, cwd: root, encoding: 'utf8', env: { ...process.env, ...env } });

/** Runs a command of a page to its end; what it says. */
export function ran(command: string, env: Record<string, string>): string {
  const { status, stdout, stderr } = run(command, env);
  expect(status, stdout + stderr).toBe(0);
  return stdout;
}

/** Runs a command that is to be refused; what it says to that. */
export function refused(command: string, env: Record<string, string>): string {
  const { status, stderr } = run(command, env);
  expect(status).not.toBe(0);
  return stderr;
}

/** Runs a command that goes on until it is stopped, and waits until Hurrow is ready. */
export async function started(command: string, env: Record<string, string> & { PORT: string }) {
  const child = spawn(command, { shell: true, cwd: root, env: { ...process.env, ...env }, detached: true });
  let said = '';
  child.stdout.on('data', (part: Buffer) => (said += part.toString()));
  await expect.poll(() => said).toContain('Hurrow is ready at');
  const stop = async () => {
    const gone = new Promise((resolve) => child.once('exit', resolve));
    process.kill(-child.pid!, 'SIGTERM');
    await gone;
  };
  return { url: `http://localhost:${env.PORT}`, stop };
}
