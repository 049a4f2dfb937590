/** Unit, property and reference tests; nothing here needs a database or a browser. */
const config = {
  // Jest would leave one of two cores idle.
  maxWorkers: '100%',
  // Only against what hangs: a machine that is short of its cores for a while is no fault of the program.
  testTimeout: 120_000,
  testMatch: [
    '<rootDir>/src/**/*.test.ts',
    '<rootDir>/tests/reference/**/*.test.ts',
    '<rootDir>/demo/**/*.test.ts',
    '<rootDir>/instruments/**/*.test.ts',
  ],
  setupFiles: ['<rootDir>/tests/seeded.ts'],
  extensionsToTreatAsEsm: ['.ts'],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
  modulePathIgnorePatterns: ['<rootDir>/.next', '<rootDir>/.gravelwort'],
  transform: {
    '^.+\\.ts$': [
      '@swc/jest',
      { jsc: { target: 'es2022', parser: { syntax: 'typescript' } }, module: { type: 'es6' } },
    ],
  },
};

export default config;
