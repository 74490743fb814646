import { createContext, use, useMemo, useState } from 'react';
import type { LengthUnit, Reading } from '../units';

/** How the operator likes to read. */
export interface Preferences {
  reading: Reading;
  lengths: LengthUnit;
}

interface Held extends Preferences {
  set: (change: Partial<Preferences>) => void;
}

const KEY = 'eskiz.preferences';
const DEFAULTS: Preferences = { reading: 'watts', lengths: 'm' };

const Context = createContext<Held | null>(null);

function kept(): Preferences {
  try {
    const stored = JSON.parse(localStorage.getItem(KEY) ?? '{}');
    return { ...DEFAULTS, ...stored };
  } catch {
    return DEFAULTS;
  }
}

export function PreferencesProvider({ children }: { children: React.ReactNode }) {
  const [preferences, setPreferences] = useState(kept);
  const held = useMemo(
    () => ({
      ...preferences,
      set: (change: Partial<Preferences>) =>
        setPreferences((before) => {
          const after = { ...before, ...change };
          try {
            localStorage.setItem(KEY, JSON.stringify(after));
          } catch {
            // a full or forbidden store only means that the choice does not stick
          }
          return after;
        }),
    }),
    [preferences],
  );
  return <Context value={held}>{children}</Context>;
}

export function usePreferences(): Held {
  const held = use(Context);
  if (!held) throw new Error('usePreferences needs a PreferencesProvider above it');
  return held;
}
