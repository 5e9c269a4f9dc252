// npm run examples: the demo scenario as files.
import { writeFileSync } from 'node:fs';
import { demoPlan } from '@/core/demo/plan';
import { writeKitCsv } from '@/core/formats/kitCsv';
import { planFileText } from '@/core/formats/planFile';

const plan = demoPlan();
writeFileSync('examples/plateau-and-river-loop.json', planFileText(plan));
writeFileSync('examples/plateau-and-river-loop-kit.csv', writeKitCsv(plan.things));
