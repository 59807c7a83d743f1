/** Three kinds of tests: the node-side workspaces, the interface in jsdom, and the browser against a real server. */
const node = {
  testEnvironment: 'node',
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/apps/web/src/$1' },
  transform: { '\\.[cm]?[jt]sx?$': '<rootDir>/scripts/esbuildTransform.cjs' },
  transformIgnorePatterns: ['/node_modules/(?!(uuid|ml-levenberg-marquardt|is-any-array|marked)/)'],
};

module.exports = {
  // Long enough for a slow machine: no test asserts a time.
  testTimeout: 300_000,
  // Each browser test file has a server and a browser context of its own, so that they can go side by side.
  maxWorkers: 2,
  projects: [
    {
      ...node,
      displayName: 'unit',
      testMatch: [
        '<rootDir>/packages/**/*.test.ts',
        '<rootDir>/apps/server/**/*.test.ts',
        '<rootDir>/scripts/**/*.test.ts',
        '<rootDir>/benchmarks/**/*.test.ts',
      ],
    },
    {
      preset: 'jest-expo/web',
      displayName: 'web',
      rootDir: 'apps/web',
      testMatch: ['<rootDir>/src/**/*.test.{ts,tsx}'],
      moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
      transformIgnorePatterns: ['/node_modules/(?!(?:@?react-native|@react-navigation|expo|@expo|@rneui|react-native-.*|uuid|nanoid|comlink|marked)(?:/|-|$))'],
    },
    {
      ...node,
      displayName: 'browser',
      testMatch: ['<rootDir>/e2e/**/*.test.ts'],
      globalSetup: '<rootDir>/e2e/once.ts',
      globalTeardown: '<rootDir>/e2e/atEnd.ts',
    },
  ],
};
