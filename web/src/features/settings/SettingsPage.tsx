import { Link } from 'react-router';
import { Shell } from '../../app/Shell';
import { usePreferences } from '../../app/preferences';
import { useSession } from '../../app/session';
import type { Settings, SettingsChange } from '../../app/preferences';
import { UndoButtons } from '../../app/UndoButtons';
import { TextField, useUndo } from '../../ui';
import { sentences, words } from '../../words';
import { Joints, Tolerances } from './Judging';
import { Labelled } from './Labelled';
import { Licence } from './Licence';
import { Currency, Worth } from './Money';
import { OfWorkshop } from './OfWorkshop';
import { Setting } from './OneOf';
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
              You work as {session.operator?.name}:{' '}
              <Link to="/people" className="quiet">
                people, and yourself
              </Link>
              .
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
