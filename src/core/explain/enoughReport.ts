import { enoughOf } from '@/core/enough/enough';
import type { Finding } from '@/core/checks/finding';
import type { Facts } from '@/core/facts/facts';
import { coverNeeds } from '@/core/needs/cover';
import { worthLeaving } from '@/core/needs/leave';
import { regrets } from '@/core/needs/met';
import { todoList } from '@/core/readiness/todo';
import type { Formatter } from '@/core/units/format';
import { panelsOf } from './panels';

/** Whether a kit is enough, as plain data: each panel, the needs and what meets them, what each thing would be missed for, and what is to be done. */
export function enoughReport(facts: Facts, found: readonly Finding[], format: Formatter) {
  const { needs, taken } = enoughOf(facts);
  return {
    panels: panelsOf(facts, found, format).map(({ findings, ...panel }) => ({
      ...panel,
      findings: findings.map(({ severity, message }) => ({ severity, message })),
    })),
    needs: needs.map(({ id, rule, things, isMissing, isSingle, isDismissed }) => ({
      need: id,
      what: rule.what,
      importance: rule.importance,
      why: rule.why,
      metBy: things.map(({ name }) => name),
      isMissing,
      isSingle,
      isDismissed,
    })),
    regrets: regrets(needs, taken).map(({ thing, regret, only, others }) => ({
      thing: thing.name,
      regret: Math.round(100 * regret) / 100,
      aloneMeets: only.map(({ what }) => what),
      others: others.map(({ name }) => name),
    })),
    worthLeaving: worthLeaving(needs, taken).map(({ thing }) => thing.name),
    /** The fewest things that would still meet every need that is met now. */
    fewest: coverNeeds(needs).map(({ name }) => name),
    todo: todoList(facts, format),
  };
}
