import Papa from 'papaparse';
import { LIMITS } from '@/core/plan/limits';
import { fail, ok, type Result } from '@/core/result';

/** A separated-values file as rows of text, and what was noticed on the way. */
export interface Table {
  header: string[];
  /** Rows with their line in the file's table, counted from 2 behind the header. */
  rows: { line: number; cells: string[] }[];
  delimiter: string;
  notices: string[];
}

const DELIMITER_WORDS: Record<string, string> = {
  ',': 'commas',
  ';': 'semicolons',
  '\t': 'tabs',
  '|': 'bars',
};
/** Rows read at most; beyond any kit, short of freezing a page that shows them. */
export const MOST_ROWS = 5000;
/** Characters of one cell that are kept: no field is longer, and an unclosed quote can swallow a file. */
const MOST_CELL = 2000;

/**
 * Reads the bytes of a comma-, semicolon-, tab- or bar-separated file, in UTF-8, UTF-16 or Windows-1252.
 *
 * @returns the table, or a sentence that says why nothing can be read
 */
export function readTable(bytes: Uint8Array): Result<Table> {
  if (bytes.length > LIMITS.kitFileBytes) {
    return fail(
      `The file has ${(bytes.length / 1024 / 1024).toFixed(0)} MB; at most ${LIMITS.kitFileBytes / 1024 / 1024} MB are read. Keep only the list of things.`,
    );
  }
  const notices: string[] = [];
  const text = decode(bytes, notices);
  if (text.trim() === '') return fail('The file is empty.');
  if (text.includes('\u0000')) return fail('The file is not a text table. Save the sheet as CSV first.');
  const parsed = Papa.parse<string[]>(text, {
    skipEmptyLines: 'greedy',
    delimitersToGuess: [',', ';', '\t', '|'],
    preview: MOST_ROWS + 2,
  });
  const [first, ...rest] = parsed.data;
  if (!first) return fail('The file is empty.');
  const header = first.map((cell) => cell.trim());
  if (rest.length === 0) return fail('The file has a header and no rows under it.');
  if (rest.length > MOST_ROWS) {
    notices.push(`Only the first ${MOST_ROWS} rows were read.`);
    rest.length = MOST_ROWS;
  }
  if (header.length > 1)
    notices.push(`Columns are separated by ${DELIMITER_WORDS[parsed.meta.delimiter] ?? 'a mark'}.`);
  if (parsed.errors.some((error) => error.type === 'Quotes')) {
    notices.push('A quotation mark is not closed; the rows after it may be wrong.');
  }
  return ok({
    header,
    rows: rest.map((cells, i) => ({
      line: i + 2,
      cells: cells.map((cell) => unguarded(cell.trim().slice(0, MOST_CELL))),
    })),
    delimiter: parsed.meta.delimiter,
    notices,
  });
}

function decode(bytes: Uint8Array, notices: string[]): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return new TextDecoder('utf-16le').decode(bytes);
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return new TextDecoder('utf-16be').decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    notices.push('The file is not UTF-8; it was read as Windows-1252. Check letters with accents.');
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

/** Takes back the apostrophe that guards a cell from running as a formula in a spreadsheet. */
const unguarded = (cell: string): string => (/^'[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell);
