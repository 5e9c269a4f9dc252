'use client';

import { memo, useEffect, useRef, useState } from 'react';
import type { Finding } from '@/core/checks/finding';
import { headlines, mainFigures, type Headline } from '@/core/explain/headline';
import { FindingItem } from '@/ui/shell/FindingItem';
import { usePlan } from '@/ui/plan/PlanProvider';
import { WhyButton } from '@/ui/shared/WhyButton';
import { useNextBreath } from '@/ui/shared/useNextBreath';
import { useShown } from '@/ui/shared/useShown';
import styles from './Consequences.module.css';

/** What the last change did, and what is open, worst first. In the same place on every stage. */
export function Consequences() {
  const { evaluation, draft, format } = usePlan();
  const shown = useShown();
  // What was pressed shows first; what follows from it is listed in the next breath.
  const findings = useNextBreath(evaluation).findings;
  const last = draft.done.at(-1);
  const lines = headlines(shown.facts, shown.before, format);
  const main = mainFigures(shown.facts);
  const isMain = ({ figure }: Headline) => main.includes(figure);
  return (
    <aside className={styles.column} aria-label="Consequences">
      <h2 className={styles.heading}>
        Consequences
        {draft.plan.fellows.length > 0 && (
          <span className="quiet">
            {' '}
            {shown.name === 'You' ? 'for your bike' : `for ${shown.name}'s bike`}
          </span>
        )}
      </h2>
      <p className={styles.last}>{last ? `Last change: ${last.label}` : 'Nothing changed yet.'}</p>
      <Figures caption="Figures and what the last change did to them" rows={lines.filter(isMain)} />
      <details className={styles.more}>
        <summary>More figures</summary>
        <Figures
          caption="More figures and what the last change did to them"
          rows={lines.filter((line) => !isMain(line))}
        />
      </details>
      <Findings findings={findings} />
    </aside>
  );
}

function Figures({ caption, rows }: { caption: string; rows: Headline[] }) {
  return (
    <table className={styles.figures}>
      <caption className="visually-hidden">{caption}</caption>
      <tbody>
        {rows.map(({ figure, label, value, difference }) => (
          <tr key={figure}>
            <th scope="row">
              {label} <WhyButton figure={figure} label={label} />
            </th>
            <td className={styles.value}>{value}</td>
            <td className={styles.difference}>{difference}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const Findings = memo(function Findings({ findings }: { findings: readonly Finding[] }) {
  // Only what the last change brought is read out, not the whole list again.
  const known = useRef<ReadonlySet<string> | null>(null);
  const [fresh, setFresh] = useState('');
  useEffect(() => {
    const before = known.current;
    if (before)
      setFresh(
        findings
          .filter(({ id, severity }) => severity !== 'note' && !before.has(id))
          .map(({ message }) => message)
          .join(' '),
      );
    known.current = new Set(findings.map(({ id }) => id));
  }, [findings]);
  return (
    <>
      <p className="visually-hidden" aria-live="polite">
        {fresh}
      </p>
      <h3 className={styles.heading}>
        Findings <span className="quiet">{findings.length || ''}</span>
      </h3>
      {findings.length === 0 ? (
        <p className="quiet">Nothing to check. Pack it, then ride round the block.</p>
      ) : (
        <ul className={styles.findings}>
          {findings.map((finding) => (
            <FindingItem key={finding.id} finding={finding} />
          ))}
        </ul>
      )}
    </>
  );
});
