import type { BandAssessment, CableType, Connector } from '../../../api';
import type { Command } from '../document/commands';
import type { Band, Plan } from '../document/model';
import type { Profile } from './useProfile';

/** What both drawings of the run, lying and upright, need of the sheet. */
export interface RibbonProps {
  plan: Plan;
  focus: number;
  band: Band | undefined;
  /** The row that is drawn. */
  rowId: string | null;
  assessment: BandAssessment | undefined;
  profile: Profile | undefined;
  cableName: string;
  isPresent: boolean;
  catalogue: CableType[];
  connectors: Connector[];
  stale: boolean;
  onCommand: (command: Command) => void;
  onTrouble: (field: string, message: string | null) => void;
}
