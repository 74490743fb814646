import type { Finding } from '../../../api';
import { usePreferences } from '../../../app/preferences';
import {
  capital,
  codeText,
  findingText,
  isTight,
  tightestSentence,
  unknownRatings,
  words,
} from '../../../words';
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
  const indexOf = (note: Finding) =>
    Number(note.values.element ?? run.findIndex((e) => e.id === note.elementId));
  const all = assessment?.notes ?? [];
  const notes = all.filter((n) => n.code !== 'RATING_UNKNOWN');
  const unknown = all
    .filter((n) => n.code === 'RATING_UNKNOWN')
    .map((n) => (n.elementId === null ? 'the matching unit' : name(indexOf(n))))
    .filter((n, i, names) => names.indexOf(n) === i);
  return (
    <>
      {notes.map((note) => {
        const index = indexOf(note);
        return (
          <p
            key={`${note.code} ${note.elementId}`}
            className={note.severity === 'CAUTION' ? 'text-marginal' : 'text-soft'}
          >
            {findingText(note, name(index)) ?? `${capital(codeText(note.code))}.`}
          </p>
        );
      })}
      {unknown.length > 0 && <p className="text-fine text-soft">{unknownRatings(unknown)}</p>}
      {tight && isTight(tight.margin) && (
        <p className={tight.margin < 1 ? 'text-fail' : 'text-marginal'}>
          {tightestSentence(tight, name(tight.element), bandName(band), lengths)}{' '}
          {tight.what === 'voltage' && words.voltageCaution}
        </p>
      )}
    </>
  );
}
