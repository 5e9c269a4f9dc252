// npm run loops: compiles ahead to WebAssembly what is written for it. To be run after a change of its source; a test
// compares the two.
import { writeFileSync } from 'node:fs';
import { compiledLoop, LOOP } from './lib/loop';

writeFileSync(LOOP, compiledLoop());
