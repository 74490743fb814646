import { useEffect, useState } from 'react';
import { usePreferences } from '../../../app/preferences';
import { QuantityField, TextField } from '../../../ui';
import { inUnit, nextReading, plain, shownReading, temperatureText } from '../../../units';
import { agoText, saveWords, words } from '../../../words';
import type { SaveState } from '../../../app/autosaver';
import { useSheet } from '../sheetContext';
import { revisionNumber } from './model';
import type { PlanEditing } from './usePlanEditing';
import type { Together } from './useTogether';

/** Along the foot, as on a drawing: what it is, whether it is saved, how it is read. */
export function TitleBlock({ editing, together }: { editing: PlanEditing; together: Together }) {
  const { plan, hasWatts, command, trouble } = useSheet();
  const { version, state } = editing;
  const isWet = plan.document.assessment?.wet === true;
  const { settings, reading, lengths, setReading, setLengths } = usePreferences();
  const fahrenheit = settings.temperatures === 'FAHRENHEIT';
  const shown = shownReading(reading, hasWatts);
  return (
    <footer className="flex min-h-[34px] shrink-0 flex-wrap items-stretch border-t border-ink text-body [body:has(.on-paper)_&]:print:hidden">
      <Part label="plan">
        <TextField
          label="plan name"
          value={plan.name}
          className="w-[24ch]"
          onCommit={(name) => command({ do: 'rename', name })}
        />
      </Part>
      <Part label="site">
        <TextField
          label="site"
          value={plan.site}
          placeholder="no site"
          mayBeEmpty
          className="w-[16ch]"
          onCommit={(site) => command({ do: 'moveToSite', site })}
        />
      </Part>
      <Part label="day">
        <QuantityField
          label="temperature of the day"
          kind="temperature"
          unit={fahrenheit ? '°f' : '°c'}
          unitLabel={fahrenheit ? '°F' : '°C'}
          value={plan.document.assessment?.ambientC ?? 20}
          show={(v) => plain(inUnit(v, 'temperature', fahrenheit ? '°f' : '°c'), 1)}
          say={(v) => temperatureText(v, fahrenheit)}
          onCommit={(ambientC) => command({ do: 'setAmbient', ambientC })}
          onTrouble={(message) => trouble('ambient', message)}
        />{' '}
        <button
          type="button"
          className="quiet"
          title="Balanced lines lose more when they are wet."
          onClick={() => command({ do: 'setWeather', wet: !isWet })}
        >
          {isWet ? 'wet' : 'dry'}
        </button>
      </Part>
      <Part label="revision">
        <span className="figures">{revisionNumber(version)}</span>
      </Part>
      <Part label="saved">
        {editing.isKept ? <SaveText state={state} /> : <span>not kept</span>}
      </Part>
      <AlsoHere together={together} />
      <span className="flex-1" />
      <Switch
        label="reading"
        value={words.reading[shown]}
        onClick={() => setReading(nextReading(shown, hasWatts))}
      />
      <Switch
        label="lengths"
        value={lengths === 'm' ? 'metres' : 'feet'}
        onClick={() => setLengths(lengths === 'm' ? 'ft' : 'm')}
      />
      <button
        type="button"
        className="border-l border-hairline px-3 disabled:text-faint"
        disabled={!editing.canUndo}
        onClick={editing.undo}
      >
        Undo
      </button>
      <button
        type="button"
        className="border-l border-hairline px-3 disabled:text-faint"
        disabled={!editing.canRedo}
        onClick={editing.redo}
      >
        Redo
      </button>
    </footer>
  );
}

/** Who else is at this plan, and what came from them. */
function AlsoHere({ together: { here, news } }: { together: Together }) {
  const text = news ?? here.join(', ');
  return (
    <span role="status" className="contents">
      {text && (
        <Part label={here.length > 0 ? 'also here' : ''}>
          <span className="max-w-[26ch] truncate" title={text}>
            {text}
          </span>
        </Part>
      )}
    </span>
  );
}

function Part({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <span className="flex items-center gap-2 border-r border-hairline px-3.5">
      <span className="text-small text-soft">{label}</span>
      {children}
    </span>
  );
}

function Switch({ label, value, onClick }: { label: string; value: string; onClick: () => void }) {
  return (
    <button
      type="button"
      className="flex items-center gap-2 border-l border-hairline px-3.5"
      onClick={onClick}
    >
      <span className="text-small text-soft">{label}</span>
      {value}
    </button>
  );
}

function SaveText({ state }: { state: SaveState<unknown> }) {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 20_000);
    return () => clearInterval(timer);
  }, []);
  const at = state.kind === 'saved' ? state.at : 0;
  const bad = !['saved', 'saving', 'unsaved'].includes(state.kind);
  return (
    <span role="status" data-testid="save-state" className={bad ? 'font-semibold text-fail' : ''}>
      {saveWords(state, agoText(at, Math.max(now, at)))}
    </span>
  );
}
