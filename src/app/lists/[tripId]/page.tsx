import type { Metadata } from 'next';
import Link from 'next/link';
import { notFound } from 'next/navigation';
import { database } from '@/app/server/database';
import { requireAccount } from '@/app/server/session';
import { bagList } from '@/core/evaluation/bagList';
import { evaluate } from '@/core/evaluation/evaluate';
import { answerOf } from '@/core/evaluation/answer';
import { thingMassG, type Thing } from '@/core/kit/thing';
import { formatterFor } from '@/core/units/format';
import { idSchema } from '@/core/units/measures';
import { reading } from '@/db/access';
import { readPlan } from '@/db/plans';
import styles from './list.module.css';

export const metadata: Metadata = { title: 'What is in which bag' };

/** One page to print or to read on a phone: all bags with what goes in, in packing order. */
export default async function ListPage({ params }: { params: Promise<{ tripId: string }> }) {
  const account = await requireAccount();
  const { tripId } = await params;
  if (!idSchema.safeParse(tripId).success) notFound();
  const stored = await reading(database(), account.id, (client) => readPlan(client, account.id, tripId));
  if (!stored) notFound();
  const format = formatterFor(account.units);
  const evaluation = evaluate(stored.plan, format);
  const { bags, worn, floor, home } = bagList(evaluation);
  const { sentence, doubt } = answerOf(evaluation, format);
  const mass = (thing: Thing) =>
    `${thing.massSource === 'estimate' ? '≈ ' : ''}${format.mass(thingMassG(thing))}`;
  return (
    <main className={styles.page}>
      <p className={styles.back}>
        <Link href={`/trips/${tripId}/load`}>Back to the load</Link>
      </p>
      <h1>{stored.plan.trip.name}: what is in which bag</h1>
      <p>
        {sentence} {doubt} In each bag the first goes in first, to the bottom; the last is at the mouth.
      </p>
      <div className={styles.bags}>
        {bags.map((bag) => (
          <section key={bag.id}>
            <h2>
              {bag.letter && <span className={styles.letter}>{bag.letter}</span>} {bag.name}{' '}
              <span className="quiet">{format.mass(bag.massG)}</span>
            </h2>
            <ol>
              {bag.things.map(({ thing, contents }) => (
                <li key={thing.id}>
                  <Line thing={thing} mass={mass(thing)} />
                  {contents.length > 0 && (
                    <ul aria-label={`Inside ${thing.name}`}>
                      {contents.map((inner) => (
                        <li key={inner.id}>
                          <Line thing={inner} mass={mass(inner)} />
                        </li>
                      ))}
                    </ul>
                  )}
                </li>
              ))}
            </ol>
          </section>
        ))}
        <Others title="Worn" things={worn} />
        <Others title="Still on the floor" things={floor} />
        <Others title="Left at home" things={home} />
      </div>
      <p className={styles.caution}>
        Never go over a maker&apos;s limit for a bag, mount, fork or rack. Press the loaded bike down hard,
        turn the bar fully, and try it on quiet ground before you leave.
      </p>
    </main>
  );
}

const named = ({ name, quantity }: Thing) => (quantity > 1 ? `${quantity} × ${name}` : name);

function Line({ thing, mass }: { thing: Thing; mass: string }) {
  return (
    <>
      <span>
        {named(thing)}
        {thing.inDrySack && <span className="quiet"> (dry sack)</span>}
      </span>
      <span className={styles.mass}>{mass}</span>
    </>
  );
}

function Others({ title, things }: { title: string; things: readonly Thing[] }) {
  if (things.length === 0) return null;
  return (
    <section>
      <h2>{title}</h2>
      <p>{things.map(named).join(', ')}</p>
    </section>
  );
}
