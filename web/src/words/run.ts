/** Sentences about what a run does: where the power goes, what its SWR is, what it means on receive and near the antenna. */

import type { BandAssessment } from '../api';
import { DB_PER_S_UNIT, fixed, fractionLeft, lossBetween, significant } from '../units';
import { capital } from './capital';

/** Less than this in dB is not worth a clause of its own. */
const NOTEWORTHY_DB = 0.005;

/** A range wider than this in dB between best and worst angle is told. */
const NOTEWORTHY_RANGE_DB = 0.05;

/** Where the power of one band goes, each place apart. */
export function whereItGoes(a: BandAssessment, isReceiver = false): string {
  const parts = [`cable and joints take ${fixed(a.matchedLossDb, 2)} dB`];
  if (Math.abs(a.mismatchLossDb) >= NOTEWORTHY_DB) {
    parts.push(`the standing wave adds ${fixed(a.mismatchLossDb, 2)} dB`);
  }
  if (a.matchingLossDb >= NOTEWORTHY_DB) {
    parts.push(`the matching unit takes ${fixed(a.matchingLossDb, 2)} dB`);
  }
  if (a.reflectionLossDb >= NOTEWORTHY_DB) {
    parts.push(
      isReceiver
        ? `${fixed(a.reflectionLossDb, 2)} dB does not enter the receiver because of the SWR there`
        : `${fixed(a.reflectionLossDb, 2)} dB never leaves the radio, sent back by the SWR`,
    );
  }
  if (a.foldbackDb >= NOTEWORTHY_DB) {
    parts.push(`the radio holds back ${fixed(a.foldbackDb, 2)} dB`);
  }
  return sentence(parts);
}

/** What the SWR is at both ends, and how far to trust the one at the radio. */
export function swrAtBothEnds(a: BandAssessment): string {
  const atRadio = a.swrAtRadio === null ? 'without limit' : fixed(a.swrAtRadio, 2);
  const atAntenna = a.swrAtAntenna === null ? 'without limit' : fixed(a.swrAtAntenna, 2);
  const flattered =
    a.swrAtRadio !== null && a.swrAtAntenna !== null && a.swrAtAntenna - a.swrAtRadio >= 0.05;
  return flattered
    ? `An SWR of ${atAntenna} at the antenna shows as ${atRadio} at the radio: loss in the run flatters the reading.`
    : `SWR ${atAntenna} at the antenna, ${atRadio} at the radio.`;
}

/** What a reading through another run says of the antenna, and what this run will show of it. */
export function readThroughSentence(
  through: string,
  swr: { antenna: number | null; now: number | null } | null,
): string {
  if (!swr) return `read at the radio through ${through}`;
  const tell = (value: number | null) => (value === null ? 'without limit' : fixed(value, 2));
  return `read at the radio through ${through}: ${tell(swr.antenna)} at the antenna; with this run the radio shows ${tell(swr.now)}.`;
}

/**
 * What the loss means to the other side: what is left of it, on their meter and as range.
 */
export function toTheOtherSide(
  { totalLossDb: lossDb, freeSpaceRange }: BandAssessment,
  sends: boolean,
): string {
  const left = fractionLeft(lossDb);
  const lost = `${significant(100 * left)} % arrives, ${significant(100 * (1 - left))} % is lost`;
  const onMeter = `${fixed(lossDb / DB_PER_S_UNIT, 2)} S-units`;
  return sends
    ? `${lost}: ${onMeter} on the other side’s meter, and ${significant(100 * freeSpaceRange)} % of the range in free space.`
    : `${lost}: ${onMeter} on your meter.`;
}

/** Best and worst angle of an SWR whose angle is not known; empty when they hardly differ. */
export function angleRange(a: BandAssessment): string {
  if (!a.efficiencyRange) return '';
  const best = lossBetween(1, a.efficiencyRange.max);
  const worst = lossBetween(1, a.efficiencyRange.min);
  return worst - best < NOTEWORTHY_RANGE_DB
    ? ''
    : `Depending on the angle of that SWR the run loses ${fixed(best, 2)} to ${fixed(worst, 2)} dB.`;
}

/** What the other weather would make of it. */
export function otherWeatherSentence(wet: boolean, arrives: string, band: string): string {
  return wet
    ? `When the line is wet, ${arrives} on ${band}: an assumption of its type.`
    : `Taken as wet; dry it would be ${arrives} on ${band}.`;
}

/** Less than this on receive nobody hears, dB. */
const HARDLY_HEARD_DB = 0.5;
const HARDLY_THERE_DB = 0.05;

/** What a run costs on receive, and what that means for the choice of cable. */
export function receiveSentence(band: string, lossDb: number, penaltyDb: number): string {
  const loss = `${fixed(lossDb, 1)} dB of loss`;
  if (penaltyDb < 0) {
    return `On receive on ${band} the preamplifier brings ${fixed(-penaltyDb, 1)} dB more than the run takes.`;
  }
  if (penaltyDb < HARDLY_HEARD_DB) {
    return lossDb < HARDLY_HEARD_DB
      ? `On receive the run hardly counts on ${band}.`
      : `On receive the ${loss} cost ${penaltyDb < HARDLY_THERE_DB ? 'next to nothing' : `${fixed(penaltyDb, 2)} dB`} on ${band}: noise from outside drowns the receiver’s own, and a thicker cable brings nothing.`;
  }
  const more = penaltyDb > lossDb + 0.1 ? ', more than they are: the noise outside is low' : '';
  return `On receive the ${loss} cost ${fixed(penaltyDb, 1)} dB of signal over noise on ${band}${more}.`;
}

/** A caution about the field near the antenna. */
export function nearSentence(
  eirp: string | null,
  distance: string | null,
  isNearField: boolean,
): string {
  if (eirp === null) {
    return 'How far to keep from the antenna while sending is not known: nobody has said its gain. Limits:';
  }
  if (distance === null) return `${eirp} EIRP; the limits say nothing of this frequency. Limits:`;
  return isNearField
    ? `${eirp} EIRP: keep off the antenna while sending; so near to it a far-field estimate does not hold. Limits:`
    : `${eirp} EIRP: keep people about ${distance} from the antenna while sending. Limits:`;
}

function sentence(parts: string[]): string {
  const text =
    parts.length < 2 ? parts.join('') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`;
  return `${capital(text)}.`;
}

/** What a preamplifier that is fed through the cable asks of what stands between it and its bias tee. */
export function fedSentence(between: readonly string[]): string {
  return between.length === 0
    ? 'The bias tee feeds it through the cable.'
    : `The bias tee feeds it through the cable: ${between.join(' and ')} must pass direct current.`;
}
