import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: './journeys',
  globalSetup: './demoData.ts',
  outputDir: '../test-results',
  timeout: 240_000,
  // A machine that is slowed for a while is no fault.
  expect: { timeout: 30_000 },
  // One more than cores, since a browser waits as long as it works; every file has a Hurrow of its own.
  workers: 3,
  reporter: 'list',
  use: {
    actionTimeout: 30_000,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: process.env['CHROMIUM_PATH'] ?? '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-background-networking'],
    },
  },
});
