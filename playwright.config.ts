import { defineConfig } from '@playwright/test';

// scripts/test.mjs runs two parts side by side, each with a server and data of its own; alone it is one part, all tests
const PART = process.env['STRICKLE_PART'];
const IN_ONE = [
  'chart',
  'choice',
  'consult',
  'doors',
  'exam',
  'first',
  'frame',
  'keep',
  'killed',
  'pots',
  'studio',
  'wholeVisits',
].map((name) => `**/${name}.e2e.ts`);
const PORT = PART === 'two' ? 4174 : 4173;
const NAME = PART === undefined ? 'browser' : `browser-${PART}`;
const SEARCH_POPUPS = ['WebUIOmniboxPopup', 'WebUIOmniboxAimPopup'];
const AS_PLAYWRIGHT = [
  ...['AvoidUnnecessaryBeforeUnloadCheckSync', 'DestroyProfileOnBrowserClose', 'HttpsUpgrades', 'AimEnabled'],
  ...[
    'HttpsFirstBalancedModeAutoEnable',
    'LensOverlay',
    'MediaRouter',
    'PaintHolding',
    'ThirdPartyStoragePartitioning',
  ],
  ...['AvoidCorsURLLoaderRestartOnRedirect', 'OptimizationHints', 'NetworkTimeServiceQuerying'],
];
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
  outputDir: `test-results/${NAME}`,
  testMatch: PART === 'one' ? IN_ONE : '**/*.e2e.ts',
  // the second part has whatever the first has not
  testIgnore: PART === 'two' ? IN_ONE : [],
  workers: 1,
  expect: { timeout: 25_000 },
  fullyParallel: false,
  retries: 0,
  timeout: 240_000,
  forbidOnly: true,
  reporter: [['list'], ['json', { outputFile: `test-results/${NAME}.json` }]],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    // what is not there by then does not come: the test fails in a minute, not in four
    actionTimeout: 60_000,
    trace: 'off',
    // what a tablet keeps is looked at where it is the point (outage.e2e.ts); elsewhere every page is the server's
    serviceWorkers: 'block',
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
        // the browser's own search popups are pages too, two to a window; the rest is what Playwright switches off
        `--disable-features=${[...SEARCH_POPUPS, ...AS_PLAYWRIGHT].join()}`,
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  // the built app on a fresh demo database of its own
  webServer: {
    command: `node scripts/run.mjs test-server --port ${PORT}`,
    env: { STRICKLE_DB: `data/${NAME}-test.sqlite`, STRICKLE_DEMO_SENSOR: 'off' },
    url: `http://127.0.0.1:${PORT}/api/health`,
    timeout: 300_000,
    reuseExistingServer: false,
  },
});
