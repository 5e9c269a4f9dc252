import fc from 'fast-check';

/**
 * Properties are tried on the same values each time, so that a test fails or passes whoever runs it. `npm run properties`
 * tries others, and prints the seed that they come from.
 */
fc.configureGlobal({ seed: Number(process.env.PROPERTY_SEED ?? 20_270_416) });
