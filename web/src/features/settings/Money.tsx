import { useState } from 'react';
import type { Settings } from '../../app/preferences';
import { QuantityField } from '../../ui';
import { plain } from '../../units';
import { Labelled } from './Labelled';
import type { Change } from './OneOf';

/** In which money prices of one's own are meant. */
export function Currency({ value, onChange }: { value: string; onChange: Change }) {
  const [typed, setTyped] = useState<string | null>(null);
  const text = typed ?? value;
  const good = /^[A-Z]{3}$/.test(text);
  return (
    <Labelled label="My own prices are in">
      <span>
        <input
          aria-label="currency"
          aria-invalid={!good}
          className="boxed figures w-[7ch]"
          value={text}
          maxLength={3}
          onChange={(e) => {
            const next = e.target.value.toUpperCase();
            setTyped(next);
            if (/^[A-Z]{3}$/.test(next)) onChange({ currency: next });
          }}
          onBlur={() => good && setTyped(null)}
        />
        {good ? (
          <span className="ml-3 text-fine text-soft">
            Samples are shown in it; prices of your own are never converted.
          </span>
        ) : (
          <span role="alert" className="ml-3 text-fail">
            Three letters, such as EUR or GBP.
          </span>
        )}
      </span>
    </Labelled>
  );
}

/** What a dB is worth to the operator, wherever it comes from. */
export function Worth({ settings, onChange }: { settings: Settings; onChange: Change }) {
  const fields = [
    ['cableWorthPerDb', 'less lost in the cable is worth', 0.01],
    ['gainCostPerDb', 'of antenna gain costs', 0],
    ['powerCostPerDb', 'of power costs', 0],
  ] as const;
  return (
    <Labelled label="A dB, as I reckon it">
      <span className="flex flex-col gap-1">
        {fields.map(([name, text, least]) => (
          <span key={name} className="flex items-baseline gap-2">
            <span className="w-52 text-soft">{text}</span>
            <QuantityField
              label={`a dB ${text}`}
              kind="budget"
              unit=""
              unitLabel={settings.currency}
              value={settings[name]}
              least={least}
              show={(v) => plain(v, 2)}
              say={(v) => `${plain(v, 2)} ${settings.currency}`}
              onCommit={(v) => onChange({ [name]: v })}
            />
          </span>
        ))}
      </span>
    </Labelled>
  );
}
