import { usePreferences } from '../../../app/preferences';
import { capital, findingText, isTight, tightestSentence, words } from '../../../words';
import { bandName, runOf } from '../document/model';
import { elementName } from '../run/elements';
import { useSheet } from '../sheetContext';
import { tightestPlace } from '../views/tightest';

/** What may not work, or may break, about this run on the band in focus. */
export function Findings() {
  const sheet = useSheet();
  const { plan, band, assessment, profile } = sheet;
  const { lengths } = usePreferences();
  const run = runOf(plan);
  const name = (index: number) => (run[index] ? elementName(run[index], sheet) : '');
  const tight = profile && tightestPlace(profile);
  return (
    <>
      {assessment?.notes.map((note) => {
        const index = Number(note.values.element ?? run.findIndex((e) => e.id === note.elementId));
        return (
          <p
            key={`${note.code} ${note.elementId}`}
            className={note.severity === 'CAUTION' ? 'text-marginal' : 'text-soft'}
          >
            {findingText(note, name(index)) ?? `${capital(note.text)}.`}
          </p>
        );
      })}
      {tight && isTight(tight.margin) && (
        <p className={tight.margin < 1 ? 'text-fail' : 'text-marginal'}>
          {tightestSentence(tight, name(tight.element), bandName(band), lengths)}{' '}
          {tight.what === 'voltage' && words.voltageCaution}
        </p>
      )}
    </>
  );
}
