import type { Reason, Row } from '../../../api';
import { boughtName } from '../../../words';
import type { RunPart } from '../../../words';
import { runOf } from '../document/model';
import type { Sheet } from '../sheetContext';
import { elementName } from './elements';

/** What something that is bought is called: its own name, or what it is. */
export function partName(
  { kind, name, element }: Pick<Row['notInCost'][number], 'kind' | 'name' | 'element'>,
  row: Row,
  sheet: Sheet,
): string {
  const of = element === null ? undefined : runOf(sheet.plan)[element];
  const known =
    name ?? (of ? elementName(of, { ...sheet, cableName: row.name, isPresent: false }) : 'a part');
  return boughtName(kind, kind === 'PLUG' && name === null ? null : known);
}

/** The parts of a run as they would be with a row's cable in it, by the reasons that are about them. */
export function partsWith(row: Row, sheet: Sheet): (reason: Reason) => RunPart | undefined {
  return (reason) => {
    if (reason.element === null) return { name: 'the matching unit', isCable: false };
    const element = runOf(sheet.plan)[reason.element];
    if (!element) return undefined;
    const named = { ...sheet, cableName: row.name, isPresent: false };
    return { name: elementName(element, named), isCable: element.kind === 'LINE' };
  };
}
