import { Modal } from '@mantine/core';
import styles from './KeySheet.module.css';

const KEYS: [string, [string, string][]][] = [
  [
    'Everywhere',
    [
      ['Ctrl K', 'find a thing, bag, stage or command'],
      ['Ctrl Z', 'undo'],
      ['Ctrl Shift Z', 'redo'],
      ['?', 'this sheet'],
    ],
  ],
  [
    'On the Load stage',
    [
      ['↑ ↓ ← →', 'choose a thing on the floor or in the open bag'],
      ['A … Z', 'put the chosen thing in the bag of that letter'],
      ['Shift A … Z', 'open the bag of that letter'],
      ['Delete', 'put it back on the floor'],
      ['-', 'leave it at home'],
      ['!', 'pin or unpin it'],
      ['.', 'load for me'],
      ['Esc', 'stop the loader, or choose nothing'],
    ],
  ],
];

/** The keys, on one sheet. */
export function KeySheet({ onClose }: { onClose: () => void }) {
  return (
    <Modal opened onClose={onClose} title="Keys">
      {KEYS.map(([where, rows]) => (
        <section key={where} className={styles.group}>
          <h3>{where}</h3>
          <dl>
            {rows.map(([key, what]) => (
              <div key={key}>
                <dt>
                  <kbd>{key}</kbd>
                </dt>
                <dd>{what}</dd>
              </div>
            ))}
          </dl>
        </section>
      ))}
    </Modal>
  );
}
