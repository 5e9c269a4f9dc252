import styles from './Verdict.module.css';

export type VerdictKind = 'ready' | 'check' | 'stop' | 'note';

const SIGNS: Record<VerdictKind, { sign: string; word: string }> = {
  ready: { sign: '✓', word: 'ready' },
  check: { sign: '△', word: 'check' },
  stop: { sign: '✕', word: 'stop' },
  note: { sign: '·', word: 'note' },
};

/** A verdict by sign and word, and only then by colour. */
export function Verdict({ kind }: { kind: VerdictKind }) {
  const { sign, word } = SIGNS[kind];
  return (
    <span className={styles.verdict} data-kind={kind}>
      <span aria-hidden="true" className={styles.sign}>
        {sign}
      </span>
      <span className={styles.word}>{word}</span>
    </span>
  );
}
