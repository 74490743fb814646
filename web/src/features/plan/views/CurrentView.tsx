import { useNarrow } from '../../../ui';
import { Ledger } from '../ledger/Ledger';
import { LedgerList } from '../ledger/LedgerList';
import { PaperView } from '../paper/PaperView';
import { useSheet } from '../sheetContext';
import { LineView } from './LineView';
import { ReachView } from './ReachView';
import { SweepView } from './SweepView';
import { ValueView } from './ValueView';

/** What the address asks for in the place of the ledger, or the ledger. */
export function CurrentView() {
  const { address } = useSheet();
  const narrow = useNarrow();
  switch (address.view) {
    case 'reach':
      return <ReachView />;
    case 'value':
      return <ValueView />;
    case 'line':
      return <LineView />;
    case 'sweep':
      return <SweepView />;
    case 'paper':
      return <PaperView />;
    case 'ledger':
      return narrow ? <LedgerList /> : <Ledger />;
  }
}
