import { Link } from 'react-router';
import type { CableType } from '../../api';
import { useTestBehind } from '../../api';
import { TOLERANCE_BY_PROVENANCE, usePreferences } from '../../app/preferences';
import { Term } from '../../ui';
import { OwnPrice } from '../prices';
import { HowFarOff } from '../tolerance';
import {
  acrossText,
  fixed,
  frequencyText,
  massPerLengthFigure,
  plain,
  significant,
  temperatureText,
  unitsBeside,
} from '../../units';
import { FLEXING, priceText, provenanceText, ratingText, sentences, words } from '../../words';

/** Everything that is known of a type; what is not known is said so. */
export function TypeFacts({ type }: { type: CableType }) {
  const { lengths, settings } = usePreferences();
  const test = useTestBehind(type.key);
  const fahrenheit = settings.temperatures === 'FAHRENHEIT';
  const mm = (value: number | null) => (value === null ? 'not known' : acrossText(value));
  const celsius = (value: number | null) =>
    value === null ? 'not known' : temperatureText(value, fahrenheit);
  const yes = (value: boolean | null) => (value === null ? 'not known' : value ? 'yes' : 'no');
  const facts: readonly [label: string, value: React.ReactNode, term?: string][] = [
    ['losses are', provenanceText(type), 'attenuation'],
    [
      'they may be off by',
      <span key="off">
        <HowFarOff
          percent={
            type.withinPercent ?? settings.tolerances[TOLERANCE_BY_PROVENANCE[type.provenance]]
          }
          provenance={type.provenance}
          ofItself={type.withinPercent !== null}
        />
        {type.withinPercent === null && (
          <span className="text-soft">
            {' '}
            as any that are {words.provenance[type.provenance]}
            {!type.builtIn && '; for this one alone, change it'}
          </span>
        )}
      </span>,
    ],
    ['its mechanics are', words.provenance[type.mechanicsProvenance]],
    ['its ratings are', words.provenance[type.ratingsProvenance]],
    ['family', type.family],
    [
      'impedance',
      `${plain(type.impedanceOhm, 1)} Ω${type.balanced ? ', balanced' : ''}`,
      'impedance',
    ],
    ['velocity factor', plain(type.velocityFactor, 3), 'velocity-factor'],
    ['across', mm(type.outerDiameterMm)],
    [
      'mass',
      type.massGPerM === null
        ? 'not known'
        : `${massPerLengthFigure(type.massGPerM)} ${unitsBeside().massPerLength}`,
    ],
    ['bends once to', mm(type.bendRadiusOnceMm), 'bend'],
    ['bends again and again to', mm(type.bendRadiusRepeatedMm), 'bend'],
    ['made to be', type.flexing === null ? 'not known' : FLEXING[type.flexing]],
    ['jacket', type.jacket ?? 'not known', 'jacket'],
    ['centre conductor', type.centreConductor ?? 'not known', 'centre-conductor'],
    ['shield', type.shield ?? 'not known', 'braid'],
    ...(type.floorBore
      ? [['bore of the shield', boreText(type.floorBore)] as [string, string]]
      : []),
    ...(type.copperCladSteel
      ? [['its centre', 'copper-clad steel, or may be'] as [string, string]]
      : []),
    ...(type.wetTimes !== null
      ? [['wet, it loses', `${plain(type.wetTimes, 2)} times as much`] as [string, string]]
      : []),
    ['dielectric', type.dielectric ?? 'not known', 'dielectric'],
    ['bears the sun', yes(type.sunResistant), 'sun'],
    ['may lie in the ground', yes(type.directBurial), 'burial'],
    ['coldest unrolling', celsius(type.minInstallC), 'cold'],
    ['in use', `${celsius(type.minOperatingC)} to ${celsius(type.maxOperatingC)}`],
    ['bears on average', ratingText(type), 'rating'],
    ['peak voltage', type.peakVoltageV === null ? 'not known' : `${plain(type.peakVoltageV, 0)} V`],
    ['price', priceText(type, lengths)],
  ];
  return (
    <>
      {type.tooGoodToBeTrue && <p className="pb-2 text-marginal">{sentences.tooGoodToBeTrue}</p>}
      {type.note && <p className="pb-2">{type.note}.</p>}
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-0.5 text-fine">
        {facts.map(([label, value, term]) => (
          <div key={label} className="contents">
            <dt className="text-soft">{term ? <Term of={term}>{label}</Term> : label}</dt>
            <dd>
              {value}
              {term === 'attenuation' && test && (
                <>
                  {' '}
                  <Link className="quiet underline" to={`/bench/${test.id}`}>
                    the test
                  </Link>
                </>
              )}
            </dd>
          </div>
        ))}
      </dl>
      <OwnPrice
        of="CABLE"
        priceKey={type.key}
        name={type.name}
        price={type.pricePerM}
        currency={type.priceCurrency}
        isSample={type.priceIsSample}
      />
      <p className="pt-2 text-fine text-soft">
        {type.points.length} {type.points.length === 1 ? 'row' : 'rows'} of a sheet, from{' '}
        {frequencyText(type.points[0]?.frequencyMHz ?? 0)} to{' '}
        {frequencyText(type.points.at(-1)?.frequencyMHz ?? 0)}; the law k₁√f + k₂f with k₁{' '}
        {significant(type.fit.k1)} and k₂ {plain(type.fit.k2, 5)} misses none by more than{' '}
        {fixed(100 * type.fit.worstRelativeResidual, 1)} %
        {type.followsPoints && '; between the rows they are followed, not the law'}. Revision{' '}
        {type.revision}.
      </p>
    </>
  );
}

/** The bore by which copper’s floor is reckoned, and where that figure comes from. */
function boreText({ mm, known }: NonNullable<CableType['floorBore']>): string {
  const text = acrossText(mm);
  switch (known) {
    case 'STATED':
      return text;
    case 'USUAL_OF_BRAIDED':
      return `${text}, taken as 0.65 of what it is across`;
    case 'AT_MOST':
      return `${text} at most, what it is across`;
  }
}
