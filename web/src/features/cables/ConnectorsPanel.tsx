import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { DayField, Labelled } from '../../ui';
import { OwnPrice, useOwnPrices } from '../prices';
import type { Connector, Schemas } from '../../api';
import { answered, api, useConnectors } from '../../api';
import { OwnDevices } from './OwnDevices';
import { usePreferences } from '../../app/preferences';
import {
  acrossFigure,
  fixed,
  frequencyText,
  parseQuantity,
  plain,
  powerText,
  unitsBeside,
} from '../../units';
import type { QuantityKind } from '../../units';
import { capital } from '../../words';

type Said = Schemas['ConnectorRequest'];
type NumberName =
  | 'impedanceOhm'
  | 'lossDb'
  | 'lossAtMHz'
  | 'bumpOhm'
  | 'bumpMm'
  | 'maxMHz'
  | 'peakVoltageV'
  | 'averagePowerW'
  | 'ratedAtMHz'
  | 'fitsLeastMm'
  | 'fitsMostMm'
  | 'price';

const NUMBERS: Record<
  NumberName,
  { label: string; kind: QuantityKind; unit: string; unitLabel: string; usual: string }
> = {
  impedanceOhm: { label: 'impedance', kind: 'impedance', unit: 'ohm', unitLabel: 'Ω', usual: '50' },
  lossDb: { label: 'a pair loses', kind: 'elementLoss', unit: 'db', unitLabel: 'dB', usual: '' },
  lossAtMHz: { label: 'at', kind: 'frequency', unit: 'mhz', unitLabel: 'MHz', usual: '1000' },
  maxMHz: { label: 'used up to', kind: 'frequency', unit: 'mhz', unitLabel: 'MHz', usual: '' },
  peakVoltageV: {
    label: 'peak voltage',
    kind: 'voltage',
    unit: 'v',
    unitLabel: 'V',
    usual: '',
  },
  bumpOhm: { label: 'bump of', kind: 'impedance', unit: 'ohm', unitLabel: 'Ω', usual: '' },
  bumpMm: { label: 'bump long', kind: 'bore', unit: 'mm', unitLabel: 'mm', usual: '' },
  averagePowerW: { label: 'bears on average', kind: 'power', unit: 'w', unitLabel: 'W', usual: '' },
  ratedAtMHz: { label: 'stated at', kind: 'frequency', unit: 'mhz', unitLabel: 'MHz', usual: '' },
  fitsLeastMm: { label: 'fits from', kind: 'bore', unit: 'mm', unitLabel: 'mm', usual: '' },
  fitsMostMm: { label: 'to', kind: 'bore', unit: 'mm', unitLabel: 'mm', usual: '' },
  price: { label: 'price', kind: 'price', unit: '', unitLabel: '', usual: '' },
};

const NAMES = Object.keys(NUMBERS) as NumberName[];
const NEEDED: readonly NumberName[] = ['lossDb', 'lossAtMHz', 'maxMHz', 'peakVoltageV'];

/** Connectors: those that came with Eskiz, and one's own. */
export function ConnectorsPanel({ onClose }: { onClose: () => void }) {
  const connectors = useConnectors().data ?? [];
  const [edited, setEdited] = useState<string | null>(null);
  const queries = useQueryClient();
  const retire = useMutation({
    mutationFn: (c: Connector) => {
      const path = { params: { path: { key: c.key } } };
      return answered(
        c.retired
          ? api.DELETE('/api/connectors/{key}/retirement', path)
          : api.POST('/api/connectors/{key}/retirement', path),
      );
    },
    onSuccess: () => void queries.invalidateQueries({ queryKey: ['connectors'] }),
  });
  return (
    <section aria-label="connectors" className="flex flex-col gap-3">
      <h2 className="text-heading font-bold">Connectors and devices</h2>
      <p className="text-soft">
        Connectors are put into a run by their name, and so are devices of your own. All connectors
        as{' '}
        <a className="quiet underline" href="/api/catalogue/connectors.csv">
          CSV
        </a>
        ; a file of them is read under <em>cables from a file</em>.
      </p>
      <table className="w-full text-fine">
        <thead className="text-left text-small text-soft">
          <tr className="[&>th]:border-b [&>th]:border-hairline [&>th]:py-1 [&>th]:pr-3 [&>th]:font-normal">
            <th scope="col">connector</th>
            <th scope="col">Ω</th>
            <th scope="col">a pair loses</th>
            <th scope="col">bump</th>
            <th scope="col">used up to</th>
            <th scope="col">peak V</th>
            <th scope="col">bears</th>
            <th scope="col">fits, {unitsBeside().across}</th>
            <th scope="col">watertight</th>
            <th scope="col">price</th>
            <th scope="col">
              <span className="sr-only">change</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {connectors.map((c) => (
            <tr
              key={c.key}
              data-connector={c.key}
              className={`[&>*]:border-b [&>*]:border-b-hairline [&>*]:py-1 [&>*]:pr-3 [&>*]:text-left ${c.retired ? 'text-soft line-through' : ''}`}
            >
              <th scope="row" className="font-semibold">
                {c.name}
              </th>
              <td className="figures">
                {c.impedanceOhm === null ? 'its line’s' : plain(c.impedanceOhm, 1)}
              </td>
              <td className="figures">
                {fixed(c.lossDb, 2)} dB at {frequencyText(c.lossAtMHz)}
              </td>
              <td className="figures">
                {c.bumpOhm === null || c.bumpMm === null
                  ? '–'
                  : `${plain(c.bumpOhm, 1)} Ω, ${plain(c.bumpMm, 1)} mm`}
              </td>
              <td className="figures">{frequencyText(c.maxMHz)}</td>
              <td className="figures">{plain(c.peakVoltageV, 0)}</td>
              <td className="figures">
                {c.averagePowerW === null || c.ratedAtMHz === null
                  ? '–'
                  : `${powerText(c.averagePowerW)} at ${frequencyText(c.ratedAtMHz)}`}
              </td>
              <td className="figures">
                {c.fitsLeastMm === null && c.fitsMostMm === null
                  ? 'any'
                  : `${c.fitsLeastMm === null ? '' : acrossFigure(c.fitsLeastMm)}–${c.fitsMostMm === null ? '' : acrossFigure(c.fitsMostMm)}`}
              </td>
              <td>{c.watertight ? 'yes' : 'no'}</td>
              <td className="figures">
                <OwnPrice
                  of="CONNECTOR"
                  priceKey={c.key}
                  name={c.name}
                  price={c.price}
                  currency={c.priceCurrency}
                  isSample={false}
                />
                {c.priceIsSample && ' sample'}
              </td>
              <td className="whitespace-nowrap">
                {!c.builtIn && (
                  <>
                    <button
                      type="button"
                      className="quiet"
                      aria-label={`Change ${c.name}`}
                      onClick={() => setEdited(c.key)}
                    >
                      Change
                    </button>{' '}
                    <button
                      type="button"
                      className="quiet"
                      aria-label={`${c.retired ? 'Offer' : 'Retire'} ${c.name}`}
                      onClick={() => retire.mutate(c)}
                    >
                      {c.retired ? 'Offer' : 'Retire'}
                    </button>
                  </>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <OwnDevices />
      {edited === null ? (
        <span className="flex gap-4">
          <button type="button" className="action" onClick={() => setEdited('')}>
            New connector
          </button>
          <button type="button" className="quiet" onClick={onClose}>
            Close
          </button>
        </span>
      ) : (
        <ConnectorForm
          key={edited}
          connector={connectors.find((c) => c.key === edited) ?? null}
          onDone={() => setEdited(null)}
        />
      )}
    </section>
  );
}

function ConnectorForm({ connector, onDone }: { connector: Connector | null; onDone: () => void }) {
  const { settings } = usePreferences();
  const queries = useQueryClient();
  const [name, setName] = useState(connector?.name ?? '');
  const [watertight, setWatertight] = useState(connector?.watertight ?? false);
  const [pricedOn, setPricedOn] = useState(connector?.pricedOn ?? '');
  const [texts, setTexts] = useState(() => textsOf(connector));
  const [tried, setTried] = useState(false);
  const read = readTexts(texts);
  const prices = useOwnPrices();
  const store = useMutation({
    mutationFn: () => {
      const body = {
        ...(read.values as Said),
        name: name.trim(),
        revision: connector?.revision,
        pricedOn: pricedOn === '' ? undefined : pricedOn,
        watertight,
        note: connector?.note ?? undefined,
        priceCurrency:
          read.values.price === undefined
            ? undefined
            : (connector?.priceCurrency ?? settings.currency),
      };
      return answered(
        connector
          ? api.PUT('/api/connectors/{key}', { params: { path: { key: connector.key } }, body })
          : api.POST('/api/connectors', { body }),
      );
    },
    onSuccess: () => {
      if (connector) prices.drop('CONNECTOR', connector.key);
      void queries.invalidateQueries({ queryKey: ['connectors'] });
      void queries.invalidateQueries({ queryKey: ['comparison'] });
      onDone();
    },
  });
  const troubles = { ...read.troubles, ...(name.trim() === '' && { name: 'It needs a name.' }) };
  return (
    <form
      aria-label={connector ? `change ${connector.name}` : 'a connector of my own'}
      className="flex flex-col gap-2 border border-hairline p-3"
      onSubmit={(e) => {
        e.preventDefault();
        setTried(true);
        if (Object.keys(troubles).length === 0) store.mutate();
      }}
    >
      <div className="flex flex-wrap gap-x-4 gap-y-2">
        <Labelled text="name" trouble={tried ? troubles.name : undefined}>
          <input
            autoFocus
            aria-label="name of the connector"
            className="boxed w-[20ch]"
            maxLength={120}
            value={name}
            onChange={(e) => setName(e.target.value)}
          />
        </Labelled>
        {NAMES.map((n) => (
          <Labelled
            key={n}
            text={`${NUMBERS[n].label}, ${
              n === 'price' ? (connector?.priceCurrency ?? settings.currency) : NUMBERS[n].unitLabel
            }`}
            trouble={tried ? read.troubles[n] : undefined}
          >
            <input
              aria-label={NUMBERS[n].label}
              className="boxed figures w-[9ch] text-right"
              value={texts[n]}
              onChange={(e) => setTexts({ ...texts, [n]: e.target.value })}
            />
          </Labelled>
        ))}
        <label className="flex flex-col gap-0.5">
          <span className="text-small text-soft">price of</span>
          <DayField
            label="day of the price"
            value={pricedOn}
            onChange={(day) => setPricedOn(day)}
          />
        </label>
        <label className="flex items-center gap-1 self-end">
          <input
            type="checkbox"
            checked={watertight}
            onChange={(e) => setWatertight(e.target.checked)}
          />
          watertight
        </label>
      </div>
      {store.isError && (
        <p role="alert" className="text-fail">
          {capital(store.error.message)}.
        </p>
      )}
      <span className="flex items-baseline gap-4">
        <button type="submit" className="action" disabled={store.isPending}>
          Store the connector
        </button>
        <button type="button" className="quiet" onClick={onDone}>
          Cancel
        </button>
      </span>
    </form>
  );
}

function textsOf(c: Connector | null): Record<NumberName, string> {
  const text = (value: number | null | undefined, usual: string) =>
    value == null ? usual : plain(value, 6);
  return Object.fromEntries(
    NAMES.map((n) => {
      const { usual } = NUMBERS[n];
      if (!c) return [n, usual];
      return [n, text(c[n], '')];
    }),
  ) as Record<NumberName, string>;
}

function readTexts(texts: Record<NumberName, string>): {
  values: Partial<Record<NumberName, number>>;
  troubles: Partial<Record<NumberName, string>>;
} {
  const values: Partial<Record<NumberName, number>> = {};
  const troubles: Partial<Record<NumberName, string>> = {};
  for (const n of NAMES) {
    if (texts[n].trim() === '') {
      if (NEEDED.includes(n)) troubles[n] = 'It must be given.';
      continue;
    }
    const parsed = parseQuantity(texts[n], NUMBERS[n].kind, NUMBERS[n].unit);
    if (parsed.ok) values[n] = parsed.value;
    else troubles[n] = parsed.message;
  }
  return { values, troubles };
}
