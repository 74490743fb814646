import { Link } from 'react-router';
import type { Row } from '../../api';
import { TOLERANCE_BY_PROVENANCE, usePreferences } from '../../app/preferences';
import { QuantityField } from '../../ui';
import { plain } from '../../units';
import { words } from '../../words';

/** How far off a measured percentage is, nobody knows to three digits. */
const DIGITS = 2;

/**
 * How far the losses of a cable may be off: said of the cable itself, which its sheet changes, or expected of where its figures come
 * from, which is changed here.
 *
 * @param to its sheet; undefined where it has none, or stands on it
 */
export function HowFarOff({
  percent,
  provenance,
  ofItself,
  to,
}: Row['tolerance'] & { to?: string | undefined }) {
  const { settings, change } = usePreferences();
  if (ofItself) {
    const text = `${plain(Number(percent.toPrecision(DIGITS)))} %`;
    return to ? (
      <Link className="quiet underline" to={to}>
        {text}
      </Link>
    ) : (
      text
    );
  }
  const name = TOLERANCE_BY_PROVENANCE[provenance];
  return (
    <QuantityField
      label={`tolerance of figures ${words.provenance[provenance]}`}
      kind="percentOff"
      unit="%"
      unitLabel="%"
      value={settings.tolerances[name]}
      show={(v) => plain(v, 2)}
      say={(v) => `${plain(v, 2)} %`}
      onCommit={(changed) => change({ tolerances: { ...settings.tolerances, [name]: changed } })}
    />
  );
}
