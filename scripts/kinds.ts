// npm run -s kinds -- NAMES.txt: what each line of a file is understood as, one line of JSON each.
import { readFileSync } from 'node:fs';
import { thingMassErrorG, thingVolumeErrorMl } from '@/core/kit/kinds/errors';
import { thingFrom } from '@/core/kit/kinds/newThing';
import { sentenceOf } from '@/core/kit/kinds/sentence';
import { understand } from '@/core/kit/kinds/understand';
import { formatterFor } from '@/core/units/format';
import { exitOn, Plain } from './lib/say';

/** A list of what somebody owns is shorter. */
const MOST_LINES = 10_000;

function main(): void {
  const [file, ...others] = process.argv.slice(2);
  if (!file || others.length > 0) throw new Plain('Usage: npm run -s kinds -- NAMES.txt');
  let text: string;
  try {
    text = readFileSync(file, 'utf8');
  } catch (error) {
    throw new Plain(`${file} cannot be read: ${(error as Error).message}`);
  }
  const lines = text.split(/\r?\n/).filter((line) => line.trim() !== '');
  if (lines.length > MOST_LINES)
    throw new Plain(`${file} has ${lines.length} lines; at most ${MOST_LINES} are read.`);
  const format = formatterFor('metric');
  for (const line of lines) {
    const understood = understand(line.slice(0, 300));
    const thing = thingFrom('thing', understood);
    console.log(
      JSON.stringify({
        line,
        kind: understood.kind?.id ?? null,
        system: thing?.system ?? null,
        quantity: understood.quantity,
        massG: thing?.massG ?? null,
        massErrorG: thing && Math.round(10 * thingMassErrorG(thing)) / 10,
        volumeMl: thing?.volumeMl ?? null,
        volumeErrorMl: thing && Math.round(thingVolumeErrorMl(thing, thing.volumeMl)),
        form: thing?.form.kind ?? null,
        neededWhen: thing?.call ?? null,
        understood: sentenceOf(understood, format),
      }),
    );
  }
}

try {
  main();
} catch (error) {
  exitOn(error);
}
