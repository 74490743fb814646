import { useCallback, useEffect, useReducer, useState, useSyncExternalStore } from 'react';
import type { StoredPlan } from '../../../api';
import { answered, api } from '../../../api';
import { useSession } from '../../../app/session';
import type { Command } from './commands';
import { draftOf, forgetDraft, keepDraft } from './drafts';
import type { Draft } from './drafts';
import { historyOf, historyReducer } from './history';
import { keepHistory, keptHistory } from './keptHistory';
import type { Plan } from './model';
import { canonical, planOf } from './model';
import { PlanAutosaver } from './planAutosaver';

/** What others changed is news for as long. */
const NEWS_MS = 15_000;

export type PlanEditing = ReturnType<typeof usePlanEditing>;

/** A plan being edited: its commands, its undo, and its saving. What was not saved last time goes on from there. */
export function usePlanEditing(stored: StoredPlan) {
  // a guest's changes, and a visitor's, stay in the window
  const isKept = useSession().may('MEMBER');
  const [draft] = useState(() => (isKept ? unsavedDraft(stored) : null));
  const [history, dispatch] = useReducer(historyReducer, stored, (s) =>
    isKept ? keptHistory(s.id, draft?.plan ?? planOf(s)) : historyOf(planOf(s)),
  );
  useEffect(() => {
    if (isKept) keepHistory(stored.id, history);
  }, [isKept, stored.id, history]);
  const [autosaver] = useState(
    () =>
      new PlanAutosaver(
        planOf(stored),
        draft?.version ?? stored.version,
        Date.parse(stored.updatedAt),
        (plan, version) => savePlan(stored.id, plan, version),
        draft === null || draft.version === stored.version,
      ),
  );
  const state = useSyncExternalStore(autosaver.subscribe, () => autosaver.state);
  const plan = history.present;

  useEffect(() => {
    if (!isKept) return;
    autosaver.change(plan);
    if (autosaver.isUnsaved()) keepDraft(stored.id, { version: autosaver.version, plan });
  }, [isKept, autosaver, plan, stored.id]);

  useEffect(() => {
    if (state.kind === 'saved' && !autosaver.isUnsaved()) forgetDraft(stored.id);
  }, [autosaver, state, stored.id]);

  useEffect(() => {
    const hidden = () => {
      if (document.visibilityState === 'hidden') void autosaver.flush();
    };
    document.addEventListener('visibilitychange', hidden);
    return () => {
      document.removeEventListener('visibilitychange', hidden);
      void autosaver.flush();
    };
  }, [autosaver]);

  const [takenOver, setTakenOver] = useState<string[] | null>(null);
  useEffect(
    () =>
      autosaver.onTakenOver(({ base, theirs, parts }) => {
        dispatch({ type: 'rebase', base, theirs });
        setTakenOver(parts);
      }),
    [autosaver],
  );

  useEffect(() => {
    if (takenOver === null) return;
    const timer = setTimeout(() => setTakenOver(null), NEWS_MS);
    return () => clearTimeout(timer);
  }, [takenOver]);

  /** After it was said that a version is stored; of null it is not known which. */
  const look = useCallback(
    async (version: number | null) => {
      if (version !== null && !(await autosaver.isNews(version))) return;
      const current = await getPlan(stored.id).catch(() => null);
      // of a plan that cannot be had its next save tells why
      if (current) await autosaver.theySaved(current);
    },
    [autosaver, stored.id],
  );

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

  /** Saves a plan, pieced together from both versions or not, over what somebody else has saved. */
  const keep = useCallback(
    (pieced: Plan) => {
      dispatch({ type: 'command', command: { do: 'takeVersion', plan: pieced }, at: Date.now() });
      autosaver.keepMine();
    },
    [autosaver],
  );

  return {
    plan,
    state,
    isKept,
    version: autosaver.version,
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
    command,
    undo,
    redo,
    saveNow,
    takeTheirs,
    keep,
    look,
    /** What others changed last, in words, where it was taken over. */
    takenOver,
  };
}

/** What was changed and not saved when the sheet was last open; a draft that was saved after all says nothing. */
function unsavedDraft(stored: StoredPlan): Draft | null {
  const draft = draftOf(stored.id);
  return draft && canonical(draft.plan) !== canonical(planOf(stored)) ? draft : null;
}

function getPlan(id: string): Promise<StoredPlan> {
  return answered(api.GET('/api/plans/{id}', { params: { path: { id } } }));
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
