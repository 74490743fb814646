import type { Row } from '../../../api';
import { Sentence } from '../../../ui';
import { tied } from '../../../units';
import { costSentences } from '../../../words';
import { OwnPrice } from '../../prices';
import { runOf } from '../document/model';
import { shortConnector } from '../run/elements';
import { partName } from '../run/parts';
import { useSheet } from '../sheetContext';

/** The prices that a row rests on, each to be typed over, and what is not in its cost. */
export function WhatItCosts({ row }: { row: Row }) {
  const sheet = useSheet();
  const { plan, catalogue, connectors } = sheet;
  const cables = [...new Set(row.assignment.map((a) => a.source.cableKey))].flatMap(
    (key) => catalogue.find((t) => t.key === key) ?? [],
  );
  const fitted = [
    ...new Set(runOf(plan).flatMap((e) => (e.kind === 'JOINT' ? [e.connectorKey] : []))),
  ].flatMap((key) => connectors.find((c) => c.key === key) ?? []);
  const said = costSentences(row, (part) => partName(part, row, sheet));
  return (
    <div className="flex flex-col pt-1" data-testid="prices">
      {cables.map((type) => (
        <span key={type.key} className="flex flex-wrap items-baseline gap-x-2">
          {type.name}
          <OwnPrice
            of="CABLE"
            priceKey={type.key}
            name={type.name}
            price={type.pricePerM}
            currency={type.priceCurrency}
            isSample={type.priceIsSample}
          />
        </span>
      ))}
      {fitted.map((c) => (
        <span key={c.key} className="flex flex-wrap items-baseline gap-x-2">
          {shortConnector(c.name)} plug
          <OwnPrice
            of="CONNECTOR"
            priceKey={c.key}
            name={shortConnector(c.name)}
            price={c.price}
            currency={c.priceCurrency}
            isSample={c.priceIsSample}
          />
        </span>
      ))}
      {said !== '' && (
        <p>
          <Sentence text={tied(said)} />
        </p>
      )}
    </div>
  );
}
