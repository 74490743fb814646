import type { AwayPart, Problem } from '../api';
import { Away, Refused } from '../api';

/** What the server keeps under a version. */
export interface Versioned {
  version: number;
  updatedAt: string;
}

/** How what is edited stands to what is stored of it. */
export interface Editable<T, S> {
  of: (stored: S) => T;
  saysTheSame: (one: T, other: T) => boolean;
  /** Both changes in one, and which parts they changed; null where they clash. */
  merged: (base: T, mine: T, theirs: T) => { both: T; theirs: string[] } | null;
}

/** How it stands with what was changed. */
export type SaveState<S> =
  | { kind: 'saved'; at: number }
  | { kind: 'unsaved' }
  | { kind: 'saving' }
  | { kind: 'away'; what: AwayPart }
  | { kind: 'changedElsewhere'; current: S }
  | { kind: 'refused'; problem: Problem };

/** What somebody else has saved, taken over beside what is changed here. */
export interface TakenOver<T> {
  /** What both went out from. */
  base: T;
  theirs: T;
  /** Which parts they changed, in words. */
  parts: string[];
}

/** Stores something over a version and tells what is stored then. */
export type Save<T, S> = (what: T, version: number) => Promise<S>;

const PAUSE_MS = 500;
const FIRST_RETRY_MS = 1000;
const LONGEST_RETRY_MS = 15_000;

/**
 * Saves what is edited by itself, a moment after the last change; one save at a time, and again until the server is back. It
 * never overwrites what somebody else has saved: that is taken over where it does not clash with what was changed here;
 * where it does it waits for a decision.
 */
export class Autosaver<T, S extends Versioned> {
  private readonly editable: Editable<T, S>;
  private readonly save: Save<T, S>;
  private readonly listeners = new Set<() => void>();
  private readonly readers = new Set<(taken: TakenOver<T>) => void>();
  private timer: ReturnType<typeof setTimeout> | undefined;
  private retryMs = FIRST_RETRY_MS;
  private running: Promise<void> | null = null;
  private stored: string;
  /** Whether what is stored is what the version was: a draft of another day may go out from an older one. */
  private isBaseKnown: boolean;
  private latest: T;
  private versionNow: number;
  private stateNow: SaveState<S>;

  constructor(
    editable: Editable<T, S>,
    stored: T,
    version: number,
    savedAt: number,
    save: Save<T, S>,
    isBaseKnown = true,
  ) {
    this.editable = editable;
    this.save = save;
    this.isBaseKnown = isBaseKnown;
    this.stored = JSON.stringify(stored);
    this.latest = stored;
    this.versionNow = version;
    this.stateNow = { kind: 'saved', at: savedAt };
  }

  get state(): SaveState<S> {
    return this.stateNow;
  }

  get version(): number {
    return this.versionNow;
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Tells what was taken over; whoever holds the plan goes on from both. */
  onTakenOver = (reader: (taken: TakenOver<T>) => void): (() => void) => {
    this.readers.add(reader);
    return () => this.readers.delete(reader);
  };

  /** Whether a version is newer than what was saved or taken over here, once no save is on its way. */
  async isNews(version: number): Promise<boolean> {
    await this.running;
    return version > this.versionNow;
  }

  /** Somebody else has saved. */
  async theySaved(current: S): Promise<void> {
    await this.running;
    if (current.version <= this.versionNow) return;
    if (this.stateNow.kind === 'changedElsewhere') this.tell({ kind: 'changedElsewhere', current });
    else this.someoneSaved(current, this.latest);
  }

  /** Takes note of it as it is now. */
  change(now: T): void {
    this.latest = now;
    if (this.stateNow.kind === 'changedElsewhere' || !this.isUnsaved()) return;
    if (this.running === null) {
      if (this.stateNow.kind !== 'away') this.tell({ kind: 'unsaved' });
      this.schedule(PAUSE_MS);
    }
  }

  /** Saves what is unsaved at once. */
  async flush(): Promise<void> {
    clearTimeout(this.timer);
    while (this.isUnsaved() && this.stateNow.kind !== 'changedElsewhere') {
      await this.saveOnce();
      if (this.stateNow.kind === 'away' || this.stateNow.kind === 'refused') return;
    }
  }

  /** After somebody else saved: put mine over theirs. */
  keepMine(): void {
    if (this.stateNow.kind !== 'changedElsewhere') return;
    this.versionNow = this.stateNow.current.version;
    this.tell({ kind: 'unsaved' });
    this.schedule(0);
  }

  /** After somebody else saved: go on from theirs. */
  takeTheirs(theirs: T): void {
    if (this.stateNow.kind !== 'changedElsewhere') return;
    const { current } = this.stateNow;
    this.versionNow = current.version;
    this.latest = theirs;
    this.stored = JSON.stringify(theirs);
    this.isBaseKnown = true;
    this.tell({ kind: 'saved', at: Date.parse(current.updatedAt) });
  }

  /** No more saves by itself. */
  stop(): void {
    clearTimeout(this.timer);
  }

  isUnsaved(): boolean {
    return JSON.stringify(this.latest) !== this.stored;
  }

  private schedule(ms: number): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.saveOnce(), ms);
  }

  private saveOnce(): Promise<void> {
    this.running ??= this.run().finally(() => {
      this.running = null;
      if (this.isUnsaved() && (this.stateNow.kind === 'saved' || this.stateNow.kind === 'saving')) {
        this.tell({ kind: 'unsaved' });
        this.schedule(PAUSE_MS);
      }
    });
    return this.running;
  }

  private async run(): Promise<void> {
    const sent = this.latest;
    if (this.stateNow.kind !== 'away') this.tell({ kind: 'saving' });
    try {
      const stored = await this.save(sent, this.versionNow);
      this.versionNow = stored.version;
      this.stored = JSON.stringify(sent);
      this.isBaseKnown = true;
      this.retryMs = FIRST_RETRY_MS;
      this.tell({ kind: 'saved', at: Date.parse(stored.updatedAt) });
    } catch (error) {
      this.failed(error, sent);
    }
  }

  private failed(error: unknown, sent: T): void {
    if (error instanceof Refused && error.problem.status === 409 && error.problem.current) {
      this.someoneSaved(error.problem.current as unknown as S, sent);
    } else if (error instanceof Refused) {
      this.tell({ kind: 'refused', problem: error.problem });
    } else {
      this.tell({ kind: 'away', what: error instanceof Away ? error.what : 'server' });
      this.schedule(this.retryMs);
      this.retryMs = Math.min(this.retryMs * 2, LONGEST_RETRY_MS);
    }
  }

  /** That may have been this very save, when its answer was lost on the way. */
  private someoneSaved(current: S, sent: T): void {
    const theirs = this.editable.of(current);
    if (this.editable.saysTheSame(theirs, sent)) {
      this.stands(current, sent);
      return;
    }
    const base = JSON.parse(this.stored) as T;
    const both = this.isBaseKnown ? this.editable.merged(base, this.latest, theirs) : null;
    if (!both) {
      this.tell({ kind: 'changedElsewhere', current });
      return;
    }
    this.latest = both.both;
    this.stands(current, theirs);
    this.readers.forEach((reader) => reader({ base, theirs, parts: both.theirs }));
    if (this.isUnsaved()) {
      this.tell({ kind: 'unsaved' });
      this.schedule(PAUSE_MS);
    }
  }

  private stands(current: S, what: T): void {
    this.versionNow = current.version;
    this.stored = JSON.stringify(what);
    this.isBaseKnown = true;
    this.tell({ kind: 'saved', at: Date.parse(current.updatedAt) });
  }

  private tell(state: SaveState<S>): void {
    this.stateNow = state;
    this.listeners.forEach((listener) => listener());
  }
}
