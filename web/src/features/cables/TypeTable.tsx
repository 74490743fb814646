import { useRef } from 'react';
import type { CableType } from '../../api';
import { useDrawnRows } from '../../ui';
import {
  acrossFigure,
  fixed,
  frequencyText,
  massPerLengthFigure,
  per100,
  plain,
  pricePerLengthFigure,
  unitsBeside,
} from '../../units';
import type { Column } from './table';

interface TableProps {
  types: readonly CableType[];
  losses: Map<string, number>;
  atMHz: number;
  order: { column: Column | null; isDown: boolean };
  selected: string | undefined;
  over: readonly string[];
  onSelect: (key: string) => void;
  onOverlay: (key: string) => void;
  onOrder: (column: Column) => void;
}

const ROW_PX = 29;

const COLUMNS: readonly { column: Column; text: (p: TableProps) => string }[] = [
  { column: 'name', text: () => 'cable' },
  { column: 'impedanceOhm', text: () => 'Ω' },
  { column: 'outerDiameterMm', text: () => unitsBeside().across },
  { column: 'massGPerM', text: () => unitsBeside().massPerLength },
  { column: 'loss', text: (p) => `${unitsBeside().loss}, ${frequencyText(p.atMHz)}` },
  { column: 'pricePerM', text: () => `per ${unitsBeside().per}` },
];

/** The room of rows that are not drawn. */
function Unseen({ px }: { px: number }) {
  return px > 0 ? (
    <tr aria-hidden="true">
      <td colSpan={COLUMNS.length + 1} style={{ height: px }} />
    </tr>
  ) : null;
}

/** Every type in a row, ordered by any column; a row is laid over the curves by its button. */
export function TypeTable(props: TableProps) {
  const { types, order, onOrder } = props;
  const box = useRef<HTMLDivElement>(null);
  const { drawn, before, after, measure } = useDrawnRows({
    count: types.length,
    rowPx: ROW_PX,
    keyOf: (i) => types[i]?.key ?? String(i),
    scroller: () => box.current,
  });
  return (
    <div ref={box} className="min-h-0 flex-1 overflow-y-auto">
      <table aria-rowcount={types.length + 1} className="w-full border-separate border-spacing-0">
        <thead>
          <tr className="text-small text-soft [&>th]:sticky [&>th]:top-0 [&>th]:border-b [&>th]:border-hairline [&>th]:bg-paper [&>th]:px-2 [&>th]:py-1 [&>th]:text-right [&>th]:font-normal">
            {COLUMNS.map(({ column, text }) => (
              <th
                key={column}
                scope="col"
                aria-sort={
                  order.column === column ? (order.isDown ? 'descending' : 'ascending') : 'none'
                }
                className={column === 'name' ? '!pl-4 !text-left' : ''}
              >
                <button type="button" onClick={() => onOrder(column)}>
                  {text(props)}
                  {order.column === column && (order.isDown ? ', most first' : ', least first')}
                </button>
              </th>
            ))}
            <th scope="col">
              <span className="sr-only">overlay</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <Unseen px={before} />
          {drawn.map(({ index, key }) => {
            const type = types[index];
            return (
              type && <TypeRow key={key} {...props} type={type} index={index} measure={measure} />
            );
          })}
          <Unseen px={after} />
        </tbody>
      </table>
    </div>
  );
}

function TypeRow({
  type: t,
  index,
  measure,
  losses,
  selected,
  over,
  onSelect,
  onOverlay,
}: TableProps & {
  type: CableType;
  index: number;
  /** How its height is known. */
  measure: (row: HTMLElement | null) => void;
}) {
  const known = (value: number | null | undefined, tell: (value: number) => string) =>
    value == null ? <span className="text-soft">–</span> : tell(value);
  return (
    <tr
      ref={measure}
      data-index={index}
      aria-rowindex={index + 2}
      data-type={t.key}
      className={`[&>*]:border-b [&>*]:border-b-hairline [&>td]:px-2 [&>td]:py-1 [&>td]:text-right ${
        t.key === selected ? 'bg-raised' : 'hover:bg-raised'
      } ${t.retired ? 'text-soft' : ''}`}
    >
      <th
        scope="row"
        className={`border-l-[3px] py-1 pr-2 pl-3 text-left font-semibold ${t.key === selected ? 'border-l-blue' : 'border-l-transparent'}`}
      >
        <button
          type="button"
          aria-pressed={t.key === selected}
          aria-label={t.name}
          className="block w-full text-left"
          onClick={() => onSelect(t.key)}
        >
          {t.name}
          <span className="block text-tiny leading-[12px] font-normal text-soft empty:hidden">
            {[
              t.favourite && 'favourite',
              !t.builtIn && 'my own',
              t.retired && 'retired',
              t.tooGoodToBeTrue && 'too good to be true',
            ]
              .filter(Boolean)
              .join(', ')}
          </span>
        </button>
      </th>
      <td className="figures">{plain(t.impedanceOhm, 1)}</td>
      <td className="figures">{known(t.outerDiameterMm, acrossFigure)}</td>
      <td className="figures">{known(t.massGPerM, massPerLengthFigure)}</td>
      <td className="figures">{known(losses.get(t.key), (db) => fixed(per100(db), 2))}</td>
      <td className="figures">{known(t.pricePerM, pricePerLengthFigure)}</td>
      <td className="pr-4">
        <button
          type="button"
          className={`quiet text-small ${over.includes(t.key) ? 'font-semibold' : ''}`}
          aria-pressed={over.includes(t.key)}
          aria-label={`${over.includes(t.key) ? 'Remove' : 'Add'} the curve of ${t.name}`}
          onClick={() => onOverlay(t.key)}
        >
          {over.includes(t.key) ? 'Remove curve' : 'Add curve'}
        </button>
      </td>
    </tr>
  );
}
