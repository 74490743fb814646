import { usePreferences } from '../../../app/preferences';
import { fixed, lengthText, levelText, lossBetween, significant } from '../../../units';
import type { Reading } from '../../../units';
import type { Place } from './ribbonLayout';
import type { Profile } from './useProfile';
import { boundsOf } from './useProfile';

/** What is there at the place pointed at: power, voltage, current, SWR. */
export function PointReading({
  place,
  profile,
  radioW,
  shown,
}: {
  place: Place;
  profile: Profile | undefined;
  radioW: number;
  shown: Reading;
}) {
  const { lengths } = usePreferences();
  const line = nearestLine(profile, place);
  const point = line?.points.reduce((a, b) =>
    Math.abs(b.fromRadioM - place.fromRadioM) < Math.abs(a.fromRadioM - place.fromRadioM) ? b : a,
  );
  const where = `${lengthText(Number(place.fromRadioM.toFixed(1)), lengths)} from the radio`;
  if (!point) return <>{where}</>;
  const power = boundsOf(point.powerW);
  const watts = (power.min + power.max) / 2;
  const span = (figure: Parameters<typeof boundsOf>[0], say: (v: number) => string) => {
    const { min, max } = boundsOf(figure);
    return say(min) === say(max) ? say(max) : `${say(min)}–${say(max)}`;
  };
  return (
    <>
      {where}: <b>{levelText({ lossDb: lossBetween(radioW, watts), watts }, shown)}</b>,{' '}
      {span(point.voltageRms, significant)} V, {span(point.currentRms, significant)} A, SWR{' '}
      {span(point.swr, (v) => (Number.isFinite(v) ? fixed(v, 2) : '∞'))}
    </>
  );
}

/** The line that the place lies on; at a joint, the line next to it. */
function nearestLine(profile: Profile | undefined, place: Place) {
  return (
    profile?.lines.find((l) => l.element === place.element) ??
    profile?.lines.find((l) => l.element > place.element) ??
    profile?.lines.at(-1)
  );
}
