import { createContext, useContext, useState } from 'react';
import type { BandAssessment, CableType, Connector, Decision, Ledger, Row } from '../../api';
import type { Command } from './document/commands';
import type { Band, Plan } from './document/model';
import { bandsOf, powerOn } from './document/model';
import type { Sureness } from './ledger/useSureness';
import type { Profile } from './run/useProfile';
import type { SheetAddress } from './useSheetAddress';

/** What some figures were computed for. */
export interface Answered {
  plan: Plan;
  focus: number;
}

/** What every part of a plan's sheet may need of it: the plan, what was computed of it, and how it is changed. */
export interface Sheet {
  planId: string;
  plan: Plan;
  /** The version that is stored. */
  version: number;
  catalogue: CableType[];
  connectors: Connector[];
  decisions: Decision[];
  /** Id of the row that was chosen and stands. */
  chosen: string | undefined;

  /** Index of the band in focus, and the band. */
  focus: number;
  band: Band | undefined;
  /** Whether the band in focus is sent on; a receiver has no watts. */
  hasWatts: boolean;

  /** Whether the plan follows the ledger: what lies in the run is what comes first there, and not picked by hand. */
  follows: boolean;
  /** What the figures below were computed for: the plan as it was then, and its band in focus. */
  answered: Answered | undefined;
  ledger: Ledger | undefined;
  /** The row in the run: the one that is drawn, spoken of, printed and bought. */
  row: Row | undefined;
  rowId: string | null;
  cableName: string;
  /** Whether it is what lies in the run now. */
  isPresent: boolean;
  /** It on the band in focus, with every element. */
  assessment: BandAssessment | undefined;
  /** Its loss there, at both ends of what cables may be off. */
  atTolerance: { leastDb: number; mostDb: number } | undefined;
  /** The same on a wet day, or on a dry one, where that is another. */
  otherWeather: NonNullable<Ledger['details'][number]['otherWeather']> | undefined;
  /** How sure each row is, where that is known yet. */
  sureness: Sureness;
  /** What happens along the run with it. */
  profile: Profile | undefined;
  /** The row pointed at, while it is another one. */
  pointedAt: BandAssessment | undefined;
  /** Whether the figures are not those of the plan as it is, and why there are no newer ones. */
  stale: boolean;
  problem: string | null;

  address: SheetAddress;
  command: (command: Command) => void;
  /** Tells what is wrong with a field, or that it is right again. */
  trouble: (field: string, message: string | null) => void;
  focusBand: (index: number) => void;
  /** Lays a row into the run by hand; what points at it in the address is done with. */
  pickRow: (rowId: string) => void;
  pointRow: (rowId: string | null) => void;
  /** Saves what is unsaved and tells the version that is stored then; null when it could not be saved. */
  saveNow: () => Promise<number | null>;
}

const SheetContext = createContext<Sheet | null>(null);

export const SheetProvider = SheetContext.Provider;

/** Whether the figures of the plan as it is are on their way: a choice waits for them. */
const WaitingContext = createContext(false);

export const WaitingProvider = WaitingContext.Provider;

export function useIsWaiting(): boolean {
  return useContext(WaitingContext);
}

/** The sheet as it was when its figures were computed, so that what is read together belongs together. */
export function asAnswered(sheet: Sheet): Sheet {
  if (!sheet.answered) return sheet;
  const { plan, focus } = sheet.answered;
  const band = bandsOf(plan)[focus];
  return { ...sheet, plan, focus, band, hasWatts: powerOn(plan, band) !== null };
}

/** The same object as long as all of it is the same: a key that is not answered yet draws nothing of it anew. */
export function useKept(sheet: Sheet): Sheet {
  const [kept, setKept] = useState(sheet);
  const isSame = (Object.keys(sheet) as (keyof Sheet)[]).every((k) => sheet[k] === kept[k]);
  if (!isSame) setKept(sheet);
  return isSame ? kept : sheet;
}

/** The sheet that a component is part of. */
export function useSheet(): Sheet {
  const sheet = useContext(SheetContext);
  if (sheet === null) throw new Error('this stands on no plan sheet');
  return sheet;
}
