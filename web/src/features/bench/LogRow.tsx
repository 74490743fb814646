import { Link } from 'react-router';
import type { BenchSummary } from '../../api';
import { usePreferences } from '../../app/preferences';
import type { Placed } from '../../ui';
import { fixed, frequencyText, lengthText } from '../../units';
import { METHOD_WORDS } from '../../words';
import { LossStrip } from './LossStrip';
import { OutcomeMark } from './OutcomeMark';

/** A test in the log: what was tested, and its farthest-off loss drawn against what was expected. */
export function LogRow({
  placed,
  test,
  fullDb,
  isCompared,
  onCompare,
}: {
  placed: Placed;
  test: BenchSummary;
  fullDb: number;
  isCompared: boolean;
  onCompare: () => void;
}) {
  const { lengths } = usePreferences();
  const shown = test.worst ?? test.figures.at(-1);
  return (
    <li
      {...placed}
      data-test={test.id}
      className={`grid grid-cols-[1fr_auto] items-center gap-x-4 gap-y-0.5 border-b border-hairline px-4 py-1.5 min-[700px]:grid-cols-[minmax(150px,1fr)_150px_126px_96px_56px] ${test.setAside ? 'text-soft line-through' : ''}`}
    >
      <div className="min-w-0">
        <Link to={`/bench/${test.id}`} className="font-semibold hover:text-blue hover:underline">
          {test.piece ?? test.cableName ?? 'a cable'}
        </Link>
        <div className="truncate text-fine text-soft">
          {test.testedOn} · {test.cableName ?? 'type not known'}
          {test.lengthM !== null && ` · ${lengthText(test.lengthM, lengths)}`} ·{' '}
          {METHOD_WORDS[test.method].name.toLowerCase()}
        </div>
      </div>
      <div className="max-[699px]:order-3">{shown && <LossStrip {...shown} fullDb={fullDb} />}</div>
      <div className="figures text-fine max-[699px]:order-4">
        {shown && (
          <>
            {fixed(shown.lossDb, 2)} dB
            <span className="text-soft"> {frequencyText(shown.frequencyMHz)}</span>
          </>
        )}
      </div>
      <div className="max-[699px]:order-2">
        <OutcomeMark outcome={test.outcome} />
      </div>
      <button
        type="button"
        className="quiet justify-self-start text-fine max-[699px]:order-5"
        aria-pressed={isCompared}
        aria-label={`lay ${test.piece ?? test.cableName ?? 'the cable'} of ${test.testedOn ?? 'an unknown day'} beside others`}
        onClick={onCompare}
      >
        {isCompared ? 'Remove' : 'Compare'}
      </button>
    </li>
  );
}
