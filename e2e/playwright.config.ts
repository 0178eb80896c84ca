import { defineConfig } from '@playwright/test';
import { findChromium } from '../setup/install.mjs';

export default defineConfig({
  testDir: './journeys',
  globalSetup: './demoData.ts',
  outputDir: '../test-results',
  // A machine that is slowed to a third for a while is no fault: no journey sets a limit of its own, and what passes
  // waits no longer than it has to.
  timeout: 900_000,
  expect: { timeout: 180_000 },
  // One more than cores, since a browser waits as long as it works; every file has a Hurrow of its own.
  workers: 3,
  reporter: 'list',
  use: {
    actionTimeout: 180_000,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: findChromium(),
      args: ['--no-sandbox', '--disable-background-networking'],
    },
  },
});
