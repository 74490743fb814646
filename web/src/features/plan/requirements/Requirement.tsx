import { usePreferences } from '../../../app/preferences';
import { OpensInPlace, QuantityField } from '../../../ui';
import { inUnit, plain } from '../../../units';
import { ASKED_WORDS, askedText } from '../../../words';
import type { Requirement as Asked } from '../document/model';
import { bandName, bandsOf } from '../document/model';
import { useSheet } from '../sheetContext';
import { FIELDS, isOfBands, measureOf, numberOf, shownNumber, withNumber } from './asked';
import { AboutRequirement } from './AboutRequirement';

/** One requirement; its number is typed where it stands, and the words after it open the rest. */
export function Requirement({ asked, index }: { asked: Asked; index: number }) {
  const { plan, command, trouble } = useSheet();
  const { kind } = asked;
  const field = FIELDS[kind];
  const { settings, lengths } = usePreferences();
  const said = ASKED_WORDS[kind];
  const measure = field && measureOf(field, lengths, settings.temperatures === 'FAHRENHEIT');
  const value = numberOf(asked);
  const change = (to: Asked) => command({ do: 'changeAsked', asked: index, to });
  const band = bandsOf(plan).find((b) => b.id !== undefined && b.id === asked.bandId);
  const where = !isOfBands(kind) ? '' : band ? `on ${bandName(band)}` : 'on every band';
  const rest = [field ? said.tail : said.lead, where].filter(Boolean).join(' ');
  return (
    <span
      data-asked={kind}
      className={`inline-flex flex-wrap items-baseline gap-x-1 ${asked.off ? 'text-soft line-through' : ''}`}
    >
      {asked.off && <span className="sr-only">put aside:</span>}
      {field && (
        <>
          <span className="text-soft">{said.lead}</span>
          <QuantityField
            label={`asked for: ${said.name}${asked.off ? ', put aside' : ''}`}
            keptAs={`asked ${kind} ${asked.bandId ?? ''}`}
            kind={field.kind}
            unit={measure?.unit ?? ''}
            unitLabel={kind === 'BUDGET' ? (asked.currency ?? '') : (measure?.label ?? '')}
            value={value}
            show={(v) =>
              measure && measure.unit !== field.unit
                ? plain(inUnit(v, field.kind, measure.unit), 2)
                : shownNumber(kind, v)
            }
            say={(v) => askedText(kind, v, asked.currency)}
            className="font-semibold"
            onCommit={(number) => change(withNumber(asked, number))}
            onTrouble={(message) => trouble(`asked ${index}`, message)}
          />
        </>
      )}
      <OpensInPlace
        label={`about “${said.name}”${asked.off ? ', which is put aside' : ''}`}
        text={rest || '…'}
        className={`in-place min-h-6 ${field ? 'text-soft' : 'font-semibold'}`}
      >
        {(close) => (
          <AboutRequirement
            asked={asked}
            onChange={change}
            onDrop={() => {
              command({ do: 'dropAsked', asked: index });
              close();
            }}
          />
        )}
      </OpensInPlace>
    </span>
  );
}
