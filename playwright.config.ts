import { defineConfig } from '@playwright/test';

const PORT = 4173;
const KNOWN_TABLET = {
  name: 'strickle-tablet',
  value: 'the-tablet-of-the-browser-tests-0123456789',
  domain: '127.0.0.1',
  path: '/',
  expires: -1,
  httpOnly: true,
  secure: false,
  sameSite: 'Lax' as const,
};

export default defineConfig({
  testDir: 'e2e',
  testMatch: '**/*.e2e.ts',
  workers: 1,
  expect: { timeout: 25_000 },
  fullyParallel: false,
  retries: 0,
  timeout: 240_000,
  forbidOnly: true,
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    // what is not there by then does not come: the test fails in a minute, not in four
    actionTimeout: 60_000,
    trace: 'off',
    hasTouch: true,
    storageState: {
      // the same tablet throughout: known before the first PIN is chosen
      cookies: [KNOWN_TABLET],
      origins: [],
    },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  // the built app on a fresh demo database of its own
  webServer: {
    command: `node scripts/run.mjs test-server --port ${PORT}`,
    url: `http://127.0.0.1:${PORT}/api/health`,
    timeout: 300_000,
    reuseExistingServer: false,
  },
});
