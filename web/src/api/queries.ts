import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { answered, api, Away, Refused } from './client';
import type { BenchNotes, BenchSummary, ComparisonRequest, Schemas } from './client';
import type { operations } from './generated/schema';
import { partOf, useLongList } from './pages';

/** The server computes as much as it can already. */
const TOO_MANY = 429;

/** Whether a failed question is worth asking again: when nobody answered, or the server was busy. */
export function shouldRetry(failures: number, error: Error): boolean {
  const isBusy = error instanceof Refused && error.problem.status === TOO_MANY;
  const isAway = error instanceof Away && error.what !== 'session';
  return (isAway && failures < 30) || (isBusy && failures < 10);
}

export function useCableTypes() {
  return useQuery({
    queryKey: ['cable-types'],
    queryFn: () => answered(api.GET('/api/cable-types')),
    staleTime: Infinity,
  });
}

export function useConnectors() {
  return useQuery({
    queryKey: ['connectors'],
    queryFn: () => answered(api.GET('/api/connectors')),
    staleTime: Infinity,
  });
}

/** Devices of one's own, for runs and for the sheet where they are kept. */
export function useDevices() {
  return useQuery({
    queryKey: ['devices'],
    queryFn: ({ signal }) => answered(api.GET('/api/devices', { signal })),
    staleTime: 60_000,
  });
}

/** What plans are searched by; without, the first of all of them. */
export type PlanSearch = NonNullable<operations['listPlans']['parameters']['query']>;

/** Plans, in parts as they are looked at. */
export function usePlanList(search: PlanSearch) {
  return useLongList(['plans', 'list', search], (after, signal) =>
    partOf(api.GET('/api/plans', { params: { query: { ...search, after } }, signal })),
  );
}

/** The first plans of a search, by site and name: as many as one may choose from; of null none. */
export function usePlans(search: PlanSearch | null = {}) {
  return useQuery({
    queryKey: ['plans', 'some', search],
    queryFn: ({ signal }) =>
      partOf(api.GET('/api/plans', { params: { query: search ?? {} }, signal })),
    enabled: search !== null,
    placeholderData: keepPreviousData,
  });
}

export function usePlan(id: string) {
  return useQuery({
    queryKey: ['plan', id],
    queryFn: () => answered(api.GET('/api/plans/{id}', { params: { path: { id } } })),
    // the sheet holds the plan being edited; a refetch must not pull it away
    staleTime: Infinity,
    gcTime: 0,
  });
}

export function useDecisions(planId: string) {
  return useQuery({
    queryKey: ['decisions', planId],
    queryFn: () =>
      answered(api.GET('/api/plans/{id}/decisions', { params: { path: { id: planId } } })),
  });
}

/**
 * The ledger of a request. The last one stays on screen until the next is there; answers are kept by what was asked, so
 * one that arrives late never replaces a newer one.
 */
export function useLedger(request: ComparisonRequest | null) {
  return useQuery({
    queryKey: ['comparison', request],
    queryFn: ({ signal }) =>
      answered(api.POST('/api/comparisons', { body: request as ComparisonRequest, signal })),
    enabled: request !== null,
    placeholderData: keepPreviousData,
    staleTime: 60_000,
    gcTime: 60_000,
  });
}

/** What a run does on its bands, apart from any ledger. */
export function useAssessment(request: Schemas['AssessmentSpec'] | null) {
  return useQuery({
    queryKey: ['assessment', request],
    queryFn: ({ signal }) =>
      answered(
        api.POST('/api/assessments', { body: request as Schemas['AssessmentSpec'], signal }),
      ),
    enabled: request !== null,
    placeholderData: keepPreviousData,
    staleTime: 60_000,
    gcTime: 60_000,
  });
}

/** What the log of the bench is searched by. */
export type BenchSearch = NonNullable<operations['listTests']['parameters']['query']>;

/** Bench tests, the last day first, in parts as they are looked at. */
export function useBenchLog(search: BenchSearch) {
  return useLongList(['bench', 'log', search], (after, signal) =>
    partOf(api.GET('/api/bench/tests', { params: { query: { ...search, after } }, signal })),
  );
}

/** What is looked for among what happened. */
export type HappeningSearch = NonNullable<operations['listHappenings']['parameters']['query']>;

/** What happened in the workshop, the newest first, in parts as they are looked at. */
export function useHappenings(search: HappeningSearch) {
  return useLongList(['happenings', search], (after, signal) =>
    partOf(api.GET('/api/happenings', { params: { query: { ...search, after } }, signal })),
  );
}

/** Some tests by their ids, in that order; those that are not there are left out. */
export function useBenchTests(ids: readonly string[]): BenchSummary[] {
  const { data } = useQuery({
    queryKey: ['bench', 'log', 'some', ids],
    queryFn: ({ signal }) =>
      answered(api.GET('/api/bench/tests', { params: { query: { ids: [...ids] } }, signal })),
    enabled: ids.length > 0,
    placeholderData: keepPreviousData,
  });
  return ids.flatMap((id) => data?.find((t) => t.id === id) ?? []);
}

/** The test that a cable type was made of; undefined for one that was not. */
export function useTestBehind(cableKey: string): BenchSummary | undefined {
  return useQuery({
    queryKey: ['bench', 'log', 'behind', cableKey],
    queryFn: ({ signal }) =>
      answered(
        api.GET('/api/bench/tests', { params: { query: { made: cableKey, limit: 1 } }, signal }),
      ),
  }).data?.[0];
}

export function useBenchTest(id: string | null) {
  return useQuery({
    queryKey: ['bench', 'test', id],
    queryFn: () =>
      answered(api.GET('/api/bench/tests/{id}', { params: { path: { id: id ?? '' } } })),
    enabled: id !== null,
  });
}

/** What a test comes to while it is being typed; the last answer stays until the next is there. */
export function useBenchAnalysis(notes: BenchNotes) {
  return useQuery({
    queryKey: ['bench', 'analysis', notes],
    queryFn: ({ signal }) => answered(api.POST('/api/bench/analyses', { body: notes, signal })),
    placeholderData: keepPreviousData,
    gcTime: 60_000,
  });
}

/** What the locker is searched by; without, the first of all that is in it. */
export type PieceSearch = NonNullable<operations['listPieces']['parameters']['query']>;

/** Pieces of the locker, in parts as they are looked at. */
export function usePieceList(search: PieceSearch) {
  return useLongList(['locker', 'list', search], (after, signal) =>
    partOf(api.GET('/api/locker/pieces', { params: { query: { ...search, after } }, signal })),
  );
}

/** The first pieces of a search, by label: as many as one may choose from; of null none. */
export function usePieces(search: PieceSearch | null = {}) {
  return useQuery({
    queryKey: ['locker', 'some', search],
    queryFn: ({ signal }) =>
      partOf(api.GET('/api/locker/pieces', { params: { query: search ?? {} }, signal })),
    enabled: search !== null,
    placeholderData: keepPreviousData,
  });
}

/** How many pieces stand how; with the demo or without. */
export function useLockerOverview(isDemoHidden: boolean, isWanted = true) {
  return useQuery({
    queryKey: ['locker', 'overview', isDemoHidden],
    queryFn: ({ signal }) =>
      answered(
        api.GET('/api/locker/overview', {
          params: { query: isDemoHidden ? { demo: false } : {} },
          signal,
        }),
      ),
    enabled: isWanted,
  });
}

/** One piece with its whole life. */
export function usePiece(id: string) {
  return useQuery({
    queryKey: ['locker', 'piece', id],
    queryFn: () => answered(api.GET('/api/locker/pieces/{id}', { params: { path: { id } } })),
  });
}

/** Kits that are kept. */
export function useKits() {
  return useQuery({
    queryKey: ['locker', 'kits'],
    queryFn: () => answered(api.GET('/api/locker/kits')),
  });
}

/** What every kit that is kept loses at a frequency; the last ones stay until the next are there. */
export function useKitLosses(atMHz: number) {
  return useQuery({
    queryKey: ['locker', 'kit losses', atMHz],
    queryFn: ({ signal }) =>
      answered(api.GET('/api/locker/kit-losses', { params: { query: { atMHz } }, signal })),
    placeholderData: keepPreviousData,
  });
}

/** The best kits of owned pieces for a run; the last ones stay until the next are there. */
export function useFoundKits(request: Schemas['KitSearchRequest'] | null) {
  return useQuery({
    queryKey: ['locker', 'found', request],
    queryFn: ({ signal }) =>
      answered(
        api.POST('/api/locker/kit-searches', {
          body: request as Schemas['KitSearchRequest'],
          signal,
        }),
      ),
    enabled: request !== null,
    placeholderData: keepPreviousData,
    gcTime: 60_000,
  });
}
