import { applyEdit } from '@/core/plan/apply';
import { editLabel, type Edit } from '@/core/plan/edit';
import { evaluate, type Evaluation } from '@/core/evaluation/evaluate';
import { changeDraft, type Change, type Draft } from '@/core/plan/history';
import { fail } from '@/core/result';
import { formatterFor } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/parse';

/** Where the plan stands with the server. */
export type SaveState =
  | { kind: 'saved' }
  | { kind: 'saving' }
  /** Not saved yet; tried again by itself. */
  | { kind: 'waiting'; reason: string }
  /** Changed elsewhere; the rider decides what becomes of what is not saved. */
  | { kind: 'stale'; since: string[] }
  | { kind: 'signed out' }
  /** The trip was deleted elsewhere; what is in this tab can still be saved as a file. */
  | { kind: 'gone' };

/** The plan as it is worked on, and what follows from it: the same object while neither changes. */
export interface PlanShown {
  draft: Draft;
  evaluation: Evaluation;
  /** The evaluation before the last step, for differences; null when there is no step. */
  before: Evaluation | null;
}

/** Where it stands with the server; apart, since it changes twice after each edit and most of the screen does not. */
export interface Saving {
  save: SaveState;
  /** Changes not yet on the server. */
  unsaved: number;
  /** The last thing that could not be done, as a sentence; cleared by the next change. */
  problem: string | null;
  /** When the trip set out; null while it is planned. From then on nothing in it changes. */
  departedAt: string | null;
  /** A change that the server will never take, as text to be copied; it is no longer in the plan. */
  refused: string | null;
}

/** What the store asks of the world; tests hand in their own. */
export interface Surroundings {
  fetch: (url: string, init?: RequestInit) => Promise<Response>;
  /** Calls back later; returns what takes the call back. */
  later: (run: () => void, ms: number) => () => void;
  /** Outlives a reload of this tab. */
  keep: { get(): string | null; set(text: string | null): void };
  makeId: () => string;
}

/** A trip's plan as the server has it. */
export interface SavedPlan {
  draft: Draft;
  revision: number;
  departedAt?: string;
}

interface Kept {
  revision: number;
  changes: Change[];
}

const HAS_SET_OUT = 'This trip has set out; its plan stays as it was then.';
const FIRST_RETRY_MS = 1000;
const LONGEST_RETRY_MS = 30_000;
/** Answers that say "not now": too slow, too early, too many. */
const TRY_AGAIN = new Set([408, 425, 429]);

/**
 * A plan as one tab sees it. Every change shows at once and is queued; the queue goes to the server one by one,
 * each against the revision the one before it gave. What the server does not take stays in the queue, across
 * reloads too, until it is saved or the rider lets it go.
 */
export class PlanStore {
  private saved: SavedPlan;
  private queue: Change[] = [];
  private draft: Draft;
  private save: SaveState = { kind: 'saved' };
  private problem: string | null = null;
  private refused: string | null = null;
  private sending = false;
  private failures = 0;
  /** The newest revision that the server told of. */
  private heard = 0;
  private cancelRetry: () => void = () => undefined;
  private listeners = new Set<() => void>();
  /** What `shown` is made from. */
  private evaluated: { draft: Draft; units: UnitSystem } | null = null;
  /** The last step that was done here, and what it was done to. */
  private stepped: { from: Draft; to: Draft } | null = null;
  private shown: PlanShown;
  private saving: Saving;

  constructor(
    readonly tripId: string,
    initial: SavedPlan,
    private units: UnitSystem,
    private readonly surroundings: Surroundings,
  ) {
    this.saved = initial;
    this.draft = initial.draft;
    this.shown = this.makeShown();
    this.saving = this.makeSaving();
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly getShown = (): PlanShown => this.shown;
  readonly getSaving = (): Saving => this.saving;
  /** The plan as the server has it, as far as this tab knows. */
  readonly getSaved = (): SavedPlan => this.saved;

  /** Takes up what an earlier life of this tab could not save. Call once in the browser. */
  start(): void {
    const kept = this.readKept();
    if (!kept) return;
    // The answer to a change can have been lost, not the change: the server's history knows it by its id.
    const taken = new Set([...this.saved.draft.done, ...this.saved.draft.undone].map((step) => step.id));
    const open = kept.changes.filter((change) => !taken.has(change.id));
    const moved = kept.changes.length - open.length;
    if (open.length === 0) return this.writeKept();
    this.queue = open;
    if (kept.revision + moved === this.saved.revision) {
      this.rebuild();
      this.changed();
      void this.flush();
    } else {
      this.rebuild();
      this.save = { kind: 'stale', since: [] };
      this.changed();
    }
  }

  /** Stops timers; what is queued stays kept. */
  stop(): void {
    this.cancelRetry();
  }

  setUnits(units: UnitSystem): void {
    this.units = units;
    this.changed();
  }

  /** Does an edit. Returns false, with `problem` saying why, when it does not suit the plan. */
  edit(edit: Edit): boolean {
    return this.take({ id: this.surroundings.makeId(), op: 'edit', edit });
  }
  undo(): boolean {
    return this.take({ id: this.surroundings.makeId(), op: 'undo' });
  }
  redo(): boolean {
    return this.take({ id: this.surroundings.makeId(), op: 'redo' });
  }

  private take(change: Change): boolean {
    const next = this.saved.departedAt === undefined ? changeDraft(this.draft, change) : fail(HAS_SET_OUT);
    if (!next.ok) {
      this.problem = next.error;
      this.changed();
      return false;
    }
    this.stepped = change.op === 'undo' ? null : { from: this.draft, to: next.value };
    this.draft = next.value;
    // Only the fields that changed are sent, so that what another tab changed meanwhile is not changed back.
    this.queue.push(change.op === 'edit' ? { ...change, edit: next.value.done.at(-1)!.edit } : change);
    this.problem = null;
    this.refused = null;
    this.writeKept();
    this.changed();
    void this.flush();
    return true;
  }

  /** Sends the queue, one change after another, until it is empty or something stands in the way. */
  async flush(): Promise<void> {
    if (this.sending || this.save.kind === 'stale' || this.save.kind === 'gone') return;
    this.sending = true;
    this.cancelRetry();
    try {
      while (this.queue.length > 0) {
        if (this.save.kind !== 'waiting') this.setSave({ kind: 'saving' });
        if (!(await this.send(this.queue[0]!))) return;
      }
      this.setSave({ kind: 'saved' });
    } finally {
      this.sending = false;
    }
    await this.follow();
  }

  /**
   * Hears from the server that the trip was counted up, or is gone. What another tab or trip changed shows here at once, unless
   * something of this tab's own is on its way: then the server says so when it gets there.
   */
  hear(notice: number | 'gone'): void {
    if (notice === 'gone') this.setSave({ kind: 'gone' });
    else {
      this.heard = Math.max(this.heard, notice);
      void this.follow();
    }
  }

  private async follow(): Promise<void> {
    if (this.heard <= this.saved.revision || this.sending || this.queue.length > 0) return;
    const found = await this.fetchDraft().catch(() => null);
    // Something may have been done here meanwhile.
    if (!found || found.revision <= this.saved.revision || this.sending || this.queue.length > 0) return;
    this.saved = found;
    this.draft = found.draft;
    this.changed();
  }

  private async fetchDraft(): Promise<SavedPlan> {
    const response = await this.surroundings.fetch(`/api/trips/${this.tripId}`);
    if (!response.ok) throw new Error(((await response.json()) as { error?: string }).error);
    return (await response.json()) as SavedPlan;
  }

  /** Sends one change; true when the next can follow. */
  private async send(change: Change): Promise<boolean> {
    let response: Response;
    let body: { revision?: number; error?: string; since?: string[] };
    try {
      response = await this.surroundings.fetch(`/api/trips/${this.tripId}/changes`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ revision: this.saved.revision, change }),
      });
      body = (await response.json()) as typeof body;
    } catch {
      this.retryLater('Gorvin cannot be reached.');
      return false;
    }
    if (response.ok && body.revision !== undefined) {
      this.failures = 0;
      const next = changeDraft(this.saved.draft, change);
      if (next.ok) this.saved = { draft: next.value, revision: body.revision };
      this.queue.shift();
      this.writeKept();
      this.changed();
      return true;
    }
    if (response.status === 409) {
      this.setSave({ kind: 'stale', since: body.since ?? [] });
      return false;
    }
    if (response.status === 401) {
      this.setSave({ kind: 'signed out' });
      return false;
    }
    if (response.status === 404) {
      this.setSave({ kind: 'gone' });
      return false;
    }
    if (response.status >= 400 && response.status < 500 && !TRY_AGAIN.has(response.status)) {
      // The server will never take it; the rest can go on without it.
      this.queue.shift();
      const lost = this.rebuild();
      this.problem = [
        `${body.error ?? 'A change was refused.'} It was undone here.`,
        ...(lost.length > 0 ? [`So was what built on it: ${lost.join('; ')}.`] : []),
      ].join(' ');
      this.refused = JSON.stringify(change, null, 2);
      this.writeKept();
      this.changed();
      return true;
    }
    this.retryLater(body.error ?? `The server answered with an error (${response.status}).`);
    return false;
  }

  private retryLater(reason: string): void {
    const wait = Math.min(LONGEST_RETRY_MS, FIRST_RETRY_MS * 2 ** this.failures);
    this.failures += 1;
    this.setSave({ kind: 'waiting', reason });
    this.cancelRetry = this.surroundings.later(() => void this.flush(), wait);
  }

  /**
   * Loads the plan as it is on the server. With `keepMine`, what was not saved is put on top of it; edits that
   * no longer suit are named in `problem`.
   */
  async reload(keepMine: boolean): Promise<boolean> {
    let found: SavedPlan;
    try {
      found = await this.fetchDraft();
    } catch (error) {
      this.problem = `The plan could not be loaded. ${(error as Error).message || 'Gorvin cannot be reached.'} What you did is kept.`;
      this.changed();
      return false;
    }
    this.saved = found;
    // Undo and redo meant steps of a history that has moved on; only edits can be put on top of it.
    this.queue = keepMine ? this.queue.filter((change) => change.op === 'edit') : [];
    const lost = this.rebuild();
    this.problem = lost.length ? `No longer possible, and left out: ${lost.join('; ')}.` : null;
    this.save = { kind: 'saved' };
    this.writeKept();
    this.changed();
    void this.flush();
    return true;
  }

  /** Puts the queue on top of what is saved; returns the labels of changes that no longer suit, and drops them. */
  private rebuild(): string[] {
    const lost: string[] = [];
    let draft = this.saved.draft;
    this.queue = this.queue.filter((change) => {
      const next = changeDraft(draft, change);
      if (next.ok) draft = next.value;
      else
        lost.push(
          change.op === 'edit' ? `${editLabel(draft.plan, change.edit)} (${next.error})` : next.error,
        );
      return next.ok;
    });
    this.draft = draft;
    return lost;
  }

  private readKept(): Kept | null {
    try {
      const text = this.surroundings.keep.get();
      return text ? (JSON.parse(text) as Kept) : null;
    } catch {
      return null;
    }
  }

  private writeKept(): void {
    const kept: Kept = { revision: this.saved.revision, changes: this.queue };
    try {
      this.surroundings.keep.set(this.queue.length ? JSON.stringify(kept) : null);
    } catch {
      // Storage is denied or full: the queue lives as long as the page, which asks before it is closed.
    }
  }

  private setSave(save: SaveState): void {
    this.save = save;
    this.changed();
  }

  private changed(): void {
    this.shown = this.makeShown();
    this.saving = this.makeSaving();
    for (const listener of this.listeners) listener();
  }

  private makeShown(): PlanShown {
    const { draft, units, evaluated } = this;
    if (evaluated?.draft === draft && evaluated.units === units) return this.shown;
    const format = formatterFor(units);
    const { plan } = draft;
    const known = evaluated?.units === units ? evaluated : null;
    const evaluation = known?.draft.plan === plan ? this.shown.evaluation : evaluate(plan, format);
    const last = draft.done.at(-1);
    // Most often the last step was done to what was shown until now.
    const isNext = known !== null && this.stepped?.to === draft && this.stepped.from === known.draft;
    const back = last && !isNext ? applyEdit(plan, last.inverse) : null;
    const before = isNext ? this.shown.evaluation : back?.ok ? evaluate(back.value.plan, format) : null;
    this.evaluated = { draft, units };
    return { draft, evaluation, before };
  }

  private makeSaving(): Saving {
    const { save, problem, refused, saving } = this;
    const unsaved = this.queue.length;
    const departedAt = this.saved.departedAt ?? null;
    const same =
      saving?.save === save &&
      saving.unsaved === unsaved &&
      saving.problem === problem &&
      saving.departedAt === departedAt &&
      saving.refused === refused;
    return same ? saving : { save, unsaved, problem, departedAt, refused };
  }
}
