import { Radio, RadioGroup } from '@headlessui/react';
import { useState } from 'react';
import { Link } from 'react-router';
import { Shell } from '../../app/Shell';
import { usePreferences } from '../../app/preferences';
import { useSession } from '../../app/session';
import type { Settings, SettingsChange } from '../../app/preferences';
import { UndoButtons } from '../../app/UndoButtons';
import { QuantityField, TextField, useUndo } from '../../ui';
import { plain, powerText } from '../../units';
import { peopleWords, sentences, words } from '../../words';
import { Labelled } from './Labelled';
import { Upkeep } from './Upkeep';
import { useSample } from './useSample';

/** What is set, whichever version of the settings that was. */
function withoutVersion(settings: Settings): SettingsChange {
  return Object.fromEntries(Object.entries(settings).filter(([name]) => name !== 'version'));
}

/** How the operator likes to work. Everything takes effect at once and is kept in the database. */
export function SettingsPage() {
  const { settings, change: store } = usePreferences();
  const { session } = useSession();
  const sample = useSample();
  const steps = useUndo(settings, (all) => store(withoutVersion(all)));
  const change = (wanted: SettingsChange) => steps.change({ ...settings, ...wanted });
  return (
    <Shell>
      <main className="min-h-0 flex-1 overflow-y-auto px-4 py-5">
        <div className="mx-auto flex max-w-3xl flex-col gap-6">
          <span className="flex items-baseline justify-between">
            <h1 className="text-title font-bold">Settings</h1>
            <UndoButtons steps={steps} />
          </span>
          {session.open && (
            <p className="min-[900px]:hidden">
              You work as {session.operator?.name}: <Link to="/people">people, and yourself</Link>.
            </p>
          )}
          <Group title="How figures are read" sample={sample?.reading}>
            <Setting
              label="Powers are read in"
              name="reading"
              value={settings.reading}
              options={[
                ['WATTS', 'watts'],
                ['PERCENT', 'percent'],
                ['DB', 'dB'],
                ['S_UNITS', 'S-units'],
              ]}
              onChange={change}
            />
            <Setting
              label="Lengths"
              name="lengths"
              value={settings.lengths}
              options={[
                ['METRES', 'metres'],
                ['FEET', 'feet'],
              ]}
              onChange={change}
            />
            <Setting
              label="Temperatures"
              name="temperatures"
              value={settings.temperatures}
              options={[
                ['CELSIUS', '°C'],
                ['FAHRENHEIT', '°F'],
              ]}
              onChange={change}
            />
          </Group>
          <Group title="Money" sample={sample?.money}>
            <OfWorkshop>
              <Currency value={settings.currency} onChange={change} />
              <Worth settings={settings} onChange={change} />
            </OfWorkshop>
          </Group>
          <Group title="How a cable is judged" sample={sample?.judged}>
            <Setting
              label="A new home run's ledger begins with"
              name="preference"
              value={settings.preference}
              options={[
                ['LEAST_COST', words.preference.LEAST_COST],
                ['LEAST_LOSS', words.preference.LEAST_LOSS],
                ['BEST_VALUE', words.preference.BEST_VALUE],
                ['LIGHTEST', words.preference.LIGHTEST],
                ['MOST_MARGIN', words.preference.MOST_MARGIN],
                ['SUREST', words.preference.SUREST],
              ]}
              onChange={change}
            />
            <OfWorkshop>
              <Tolerances value={settings.tolerances} onChange={change} />
            </OfWorkshop>
            <Joints value={settings.flatJointLossDb} onChange={change} />
          </Group>
          <Group title="My radio and my place" sample={null}>
            <Licence value={settings.licencePowerW} onChange={change} />
            <OfWorkshop>
              <Setting
                label="Bands offered are those of"
                name="region"
                value={settings.region}
                options={[
                  [1, 'region 1: Europe, Africa'],
                  [2, 'region 2: the Americas'],
                  [3, 'region 3: Asia, Oceania'],
                ]}
                onChange={change}
              />
              <Labelled label="Instruments may be reached on">
                <span className="flex flex-col gap-1">
                  <span className="flex items-baseline gap-2">
                    this machine, and
                    <TextField
                      label="hosts of instruments"
                      placeholder="no other host"
                      mayBeEmpty
                      className="w-[26ch]"
                      value={settings.instrumentHosts ?? ''}
                      onCommit={(text) => change({ instrumentHosts: text.trim() || null })}
                    />
                  </span>
                  <span className="text-fine text-soft">{sentences.instrumentHosts}</span>
                </span>
              </Labelled>
            </OfWorkshop>
          </Group>
          <Group title="My pieces" sample={null}>
            <OfWorkshop>
              <Upkeep value={settings.upkeep} onChange={change} />
            </OfWorkshop>
          </Group>
          <Group title="The sheet itself" sample={null}>
            <Setting
              label="Sheet"
              name="palette"
              value={settings.palette}
              options={[
                ['SYSTEM', 'as the system says'],
                ['DAY', 'day'],
                ['NIGHT', 'night'],
              ]}
              onChange={change}
            />
            <Setting
              label="Single letters are shortcuts"
              name="letterShortcuts"
              value={settings.letterShortcuts}
              options={[
                [true, 'yes'],
                [false, 'no'],
              ]}
              onChange={change}
            />
            <Setting
              label="The demo's plans are"
              name="demoHidden"
              value={settings.demoHidden}
              options={[
                [false, 'listed'],
                [true, 'hidden'],
              ]}
              onChange={change}
            />
          </Group>
        </div>
      </main>
    </Shell>
  );
}

/** Settings of one kind, under a line of a sheet as it looks with them. */
function Group({
  title,
  sample,
  children,
}: {
  title: string;
  sample: string | null | undefined;
  children: React.ReactNode;
}) {
  return (
    <section aria-label={title} className="flex flex-col gap-4">
      <h2 className="flex flex-wrap items-baseline gap-x-4 border-b border-ink pb-1 font-semibold">
        {title}
        {sample && <span className="figures text-fine font-normal text-soft">{sample}</span>}
      </h2>
      {children}
    </section>
  );
}

/** What holds for all of the workshop, and is for its keepers to change. */
function OfWorkshop({ children }: { children: React.ReactNode }) {
  const { may } = useSession();
  if (may('KEEPER')) return children;
  return (
    <fieldset disabled className="flex flex-col gap-4">
      <legend className="pb-2 text-fine text-soft">{peopleWords.factsAreKept}</legend>
      <div inert className="flex flex-col gap-4">
        {children}
      </div>
    </fieldset>
  );
}

type Change = (change: SettingsChange) => void;

type Option = string | number | boolean;

/** One of a few that is stored as it is picked. */
function Setting<T extends Option>({
  name,
  onChange,
  ...rest
}: {
  label: string;
  name: keyof SettingsChange;
  value: T;
  options: readonly (readonly [T, string])[];
  onChange: Change;
}) {
  return <OneOf {...rest} onPick={(chosen) => onChange({ [name]: chosen })} />;
}

function OneOf<T extends Option>({
  label,
  value,
  options,
  onPick,
}: {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onPick: (chosen: T) => void;
}) {
  return (
    <RadioGroup
      value={value}
      onChange={onPick}
      aria-label={label}
      className="grid items-baseline gap-x-4 gap-y-1 border-b border-hairline pb-4 min-[600px]:grid-cols-[240px_1fr]"
    >
      <span className="text-soft">{label}</span>
      <span className="flex flex-wrap gap-x-1 gap-y-1">
        {options.map(([option, text]) => (
          <Radio
            key={String(option)}
            value={option}
            className="min-h-6 cursor-pointer border border-control px-2.5 py-1 data-checked:border-ink data-checked:bg-ink data-checked:text-paper"
          >
            {text}
          </Radio>
        ))}
      </span>
    </RadioGroup>
  );
}

/** What a dB is worth to the operator, wherever it comes from. */
function Worth({ settings, onChange }: { settings: Settings; onChange: Change }) {
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

/** How far cables may be off what is said of them. */
function Tolerances({ value, onChange }: { value: Settings['tolerances']; onChange: Change }) {
  const fields = [
    ['typicalPercent', 'TYPICAL'],
    ['sheetPercent', 'SHEET'],
    ['measuredPercent', 'MEASURED'],
    ['guessedPercent', 'GUESSED'],
  ] as const;
  return (
    <Labelled label="The loss of a cable may be off by">
      <span className="flex flex-col gap-1">
        {fields.map(([name, provenance]) => (
          <span key={name} className="flex items-baseline gap-2">
            <QuantityField
              label={`tolerance of figures ${words.provenance[provenance]}`}
              kind="percentOff"
              unit="%"
              unitLabel="%"
              value={value[name]}
              show={(v) => plain(v, 2)}
              say={(v) => `${plain(v, 2)} %`}
              onCommit={(percent) => onChange({ tolerances: { ...value, [name]: percent } })}
            />
            <span className="text-soft">where its figures are {words.provenance[provenance]}</span>
          </span>
        ))}
        <span className="text-fine text-soft">{sentences.luckIsMarginal}</span>
      </span>
    </Labelled>
  );
}

const USUAL_FLAT_LOSS_DB = 0.2;

/** Two schools: at HF a joint cannot be measured; or every joint is charged a flat couple of tenths. */
function Joints({ value, onChange }: { value: number | null; onChange: Change }) {
  return (
    <div className="flex flex-col gap-1">
      <OneOf
        label="Each joint of a new plan loses"
        value={value === null ? 'typical' : 'flat'}
        options={[
          ['typical', 'what is typical of its connector'],
          ['flat', 'a flat figure'],
        ]}
        onPick={(chosen) =>
          onChange({ flatJointLossDb: chosen === 'flat' ? USUAL_FLAT_LOSS_DB : null })
        }
      />
      {value !== null && (
        <Labelled label="the flat figure">
          <QuantityField
            label="flat loss of a joint"
            kind="elementLoss"
            unit="db"
            unitLabel="dB"
            value={value}
            show={(v) => plain(v)}
            say={(v) => `${plain(v)} dB`}
            onCommit={(flatJointLossDb) => onChange({ flatJointLossDb })}
          />
        </Labelled>
      )}
    </div>
  );
}

function Currency({ value, onChange }: { value: string; onChange: Change }) {
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

function Licence({ value, onChange }: { value: number | null; onChange: Change }) {
  return (
    <Labelled label="Most power I may use, as I note it">
      <span className="flex flex-col gap-1">
        <span className="flex items-baseline gap-4">
          <QuantityField
            label="licence power"
            kind="power"
            unit="w"
            unitLabel="W"
            value={value ?? undefined}
            show={(v) => plain(v)}
            say={powerText}
            onCommit={(licencePowerW) => onChange({ licencePowerW })}
          />
          {value !== null && (
            <button
              type="button"
              className="quiet"
              onClick={() => onChange({ licencePowerW: null })}
            >
              no note
            </button>
          )}
        </span>
        <span className="text-fine text-soft">{sentences.licenceReminder}</span>
      </span>
    </Labelled>
  );
}
