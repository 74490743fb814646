import { useCallback, useEffect, useReducer, useState, useSyncExternalStore } from 'react';
import type { StoredPlan } from '../../api';
import { answered, api } from '../../api';
import { Autosaver } from './autosaver';
import type { Command } from './commands';
import { historyOf, historyReducer } from './history';
import type { Plan } from './model';
import { planOf } from './model';

/** A plan being edited: its commands, its undo, and its saving. */
export function usePlanEditing(stored: StoredPlan) {
  const [history, dispatch] = useReducer(historyReducer, stored, (s) => historyOf(planOf(s)));
  const [autosaver] = useState(
    () =>
      new Autosaver(planOf(stored), stored.version, Date.parse(stored.updatedAt), (plan, version) =>
        savePlan(stored.id, plan, version),
      ),
  );
  const state = useSyncExternalStore(autosaver.subscribe, () => autosaver.state);
  const plan = history.present;

  useEffect(() => autosaver.change(plan), [autosaver, plan]);

  useEffect(() => {
    const hidden = () => {
      if (document.visibilityState === 'hidden') void autosaver.flush();
    };
    const leaving = (e: BeforeUnloadEvent) => {
      if (!autosaver.isUnsaved()) return;
      void autosaver.flush();
      e.preventDefault();
    };
    document.addEventListener('visibilitychange', hidden);
    window.addEventListener('beforeunload', leaving);
    return () => {
      document.removeEventListener('visibilitychange', hidden);
      window.removeEventListener('beforeunload', leaving);
      void autosaver.flush();
    };
  }, [autosaver]);

  const command = useCallback(
    (c: Command) => dispatch({ type: 'command', command: c, at: Date.now() }),
    [],
  );
  const undo = useCallback(() => dispatch({ type: 'undo' }), []);
  const redo = useCallback(() => dispatch({ type: 'redo' }), []);

  /** Saves at once and tells the version then stored; null when it could not be saved. */
  const saveNow = useCallback(async () => {
    await autosaver.flush();
    return autosaver.isUnsaved() ? null : autosaver.version;
  }, [autosaver]);

  const takeTheirs = useCallback(() => {
    if (autosaver.state.kind !== 'changedElsewhere') return;
    const theirs = planOf(autosaver.state.current);
    autosaver.takeTheirs(theirs);
    dispatch({ type: 'replace', plan: theirs });
  }, [autosaver]);

  return {
    plan,
    state,
    version: autosaver.version,
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
    command,
    undo,
    redo,
    saveNow,
    takeTheirs,
    keepMine: useCallback(() => autosaver.keepMine(), [autosaver]),
  };
}

function savePlan(id: string, plan: Plan, version: number): Promise<StoredPlan> {
  return answered(
    api.PUT('/api/plans/{id}', {
      params: { path: { id } },
      body: { version, site: plan.site, name: plan.name, document: plan.document },
      keepalive: true,
    }),
  );
}
