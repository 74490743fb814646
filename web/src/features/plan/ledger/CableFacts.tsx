import { HouseLink } from '../../../app/HouseLink';
import type { CableType, Row } from '../../../api';
import { useTestBehind } from '../../../api';
import { Term } from '../../../ui';
import { acrossText, fixed, massText } from '../../../units';
import { provenanceText, words } from '../../../words';
import { HowFarOff } from '../../tolerance';

/** What is known of a type, in the opened row of a ledger. */
export function CableFacts({ type, row }: { type: CableType; row: Row }) {
  const test = useTestBehind(type.key);
  return (
    <>
      <p>
        {type.family}; <Term of="impedance">{type.impedanceOhm} Ω</Term>,{' '}
        <Term of="velocity-factor">velocity factor</Term> {type.velocityFactor}
        {type.outerDiameterMm !== null && `, ${acrossText(type.outerDiameterMm)} across`}
        {row.mass ? `, ${massText(row.mass.totalKg)}` : ''}
        {type.jacket !== null && (
          <>
            ; {type.jacket} <Term of="jacket">jacket</Term>
          </>
        )}
        {type.centreConductor !== null && (
          <>
            , {type.centreConductor} <Term of="centre-conductor">centre</Term>
          </>
        )}
        {type.bendRadiusOnceMm !== null && (
          <>
            , <Term of="bend">bends</Term> to {acrossText(type.bendRadiusOnceMm)} once
          </>
        )}
        {type.bendRadiusRepeatedMm !== null &&
          ` and ${acrossText(type.bendRadiusRepeatedMm)} again and again`}
        .
      </p>
      {type.note && <p>{type.note}.</p>}
      <p>
        <HouseLink className="quiet" to={`/cables?type=${type.key}`}>
          all about it
        </HouseLink>
        ,{' '}
        <HouseLink className="quiet" to="/cables/anatomy">
          what these words mean
        </HouseLink>
      </p>
      <p>
        {type.provenance === 'TYPICAL'
          ? words.typicalFigures
          : `Its figures are ${provenanceText(type)}.`}{' '}
        They may be <HowFarOff {...row.tolerance} to={`/cables?type=${type.key}`} /> off.{' '}
        {test && (
          <>
            <HouseLink className="quiet underline" to={`/bench/${test.id}`}>
              The test
            </HouseLink>
            .{' '}
          </>
        )}
        The law fitted to its {type.points.length} points misses none by more than{' '}
        {fixed(100 * type.fit.worstRelativeResidual, 1)} %.
      </p>
    </>
  );
}
