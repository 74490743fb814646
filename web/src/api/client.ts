import createClient from 'openapi-fetch';
import type { components, paths } from './generated/schema';

export const api = createClient<paths>({ baseUrl: '/' });

let token: string | null = null;
let share: string | null = null;
const signedOut = new Set<() => void>();

/** Takes the token of the session, which goes with everything that changes something. */
export function carryToken(csrf: string | null): void {
  token = csrf;
}

/** Takes what is in a link to a plan, which goes with everything that is asked by whoever came by it. */
export function carryShare(secret: string | null): void {
  share = secret;
}

/** What goes with a request that is not made by {@link api}. */
export function sessionHeaders(): Record<string, string> {
  return {
    ...(token !== null && { 'X-CSRF-TOKEN': token }),
    ...(share !== null && { 'Eskiz-Share': share }),
  };
}

/** Tells when the session is not what it was: it has ended, or somebody signed in anew in another tab. */
export function onSignedOut(listener: () => void): () => void {
  signedOut.add(listener);
  return () => signedOut.delete(listener);
}

api.use({
  onRequest({ request }) {
    for (const [name, value] of Object.entries(sessionHeaders())) request.headers.set(name, value);
    return request;
  },
});

export type Schemas = components['schemas'];
export type CableType = Schemas['CableTypeResponse'];
export type Connector = Schemas['Connector'];
export type Ledger = Schemas['ComparisonResponse'];
export type Row = Schemas['RowResponse'];
export type Cell = Schemas['CellResponse'];
export type Reason = Schemas['ReasonResponse'];
export type Verdict = Row['verdict'];
export type Finding = Schemas['FindingResponse'];
export type BandAssessment = Schemas['BandResponse'];
export type ComparisonRequest = Schemas['ComparisonRequest'];
export type StoredPlan = Schemas['PlanResponse'];
export type PlanSummary = Schemas['PlanSummary'];
export type Decision = Schemas['DecisionResponse'];
export type Changes = Schemas['ChangesResponse'];
export type ValueSteps = Schemas['ValueStepsResponse'];
export type Mixes = Schemas['MixesResponse'];
export type SheetText = Schemas['SheetTextResponse'];
export type CableTypeSpec = Schemas['CableTypeRequest'];
export type CableCurves = Schemas['CurvesResponse'];
export type BenchNotes = Schemas['BenchTestRequest'];
export type BenchTest = Schemas['BenchTestResponse'];
export type BenchSummary = Schemas['BenchTestSummary'];
export type BenchAnalysis = Schemas['BenchAnalysisResponse'];
export type BenchFigure = Schemas['BenchFigureResponse'];
export type BenchFile = Schemas['BenchFileResponse'];
export type Piece = Schemas['PieceSummary'];
export type PieceLife = Schemas['PieceResponse'];
export type PieceEvent = Schemas['PieceEventResponse'];
export type PieceSpec = Schemas['PieceRequest'];
export type PieceEnd = Schemas['EndResponse'];
export type Movement = Schemas['MovementRequest'];
export type Kit = Schemas['KitResponse'];
export type FoundKits = Schemas['KitSearchResponse'];
export type FoundKit = Schemas['FoundKitResponse'];
export type LengthSets = Schemas['LengthSetResponse'];
export type OwnDevice = Schemas['DeviceResponse'];
export type CutPlan = Schemas['CutPlanResponse'];
export type Session = Schemas['SessionResponse'];
export type Person = Schemas['PersonResponse'];
export type Happening = Schemas['HappeningResponse'];
export type Role = Person['role'];
export type BenchOutcome = NonNullable<BenchAnalysis['outcome']>;

/** A problem as the server tells it. */
export interface Problem {
  status: number;
  title: string;
  detail: string;
  errors?: { path: string; message: string }[];
  current?: StoredPlan;
}

/** The server answered, and said no. */
export class Refused extends Error {
  readonly problem: Problem;

  constructor(problem: Problem) {
    super(problem.detail);
    this.problem = problem;
  }
}

/** Nobody answered, or not the way this server does: it is away, or its database is, or whoever asks is signed out. */
export class Away extends Error {
  readonly what: AwayPart;

  constructor(what: AwayPart) {
    super(AWAY[what]);
    this.what = what;
  }
}

/** What is not there; it may be back in a moment. */
export type AwayPart = 'server' | 'database' | 'disk' | 'session';

const AWAY: Record<AwayPart, string> = {
  server: 'the server does not answer',
  database: 'the database does not answer',
  disk: 'the disk is full',
  session: 'you are signed out',
};

const NOT_SIGNED_IN = 401;
const NOT_ALLOWED = 403;
const WRONG_TOKEN = 'Wrong token';

export interface Result<T> {
  data?: T;
  error?: unknown;
  response: Response;
}

/** The answer's data; what is not an answer of ours becomes {@link Away}, a problem {@link Refused}. */
export async function answered<T>(call: Promise<Result<T>>): Promise<T> {
  const result = await call.catch(() => {
    throw new Away('server');
  });
  if (result.response.ok) return result.data as T;
  const problem = result.error as Problem | undefined;
  if (isOfNoSession(result.response.status, problem)) {
    for (const listener of signedOut) listener();
    throw new Away('session');
  }
  if (result.response.status === 503)
    throw new Away(problem?.title === 'Disk full' ? 'disk' : 'database');
  if (!problem || typeof problem.detail !== 'string') throw new Away('server');
  throw new Refused(problem);
}

/** Whether the session has ended, or another has begun in another tab, with a token of its own. */
function isOfNoSession(status: number, problem: Problem | undefined): boolean {
  return status === NOT_SIGNED_IN || (status === NOT_ALLOWED && problem?.title === WRONG_TOKEN);
}

/** What is not said comes back as null, and is left out of what is edited. */
export function withoutNulls<T>(value: T): T {
  if (Array.isArray(value)) return value.map((v) => withoutNulls<unknown>(v)) as T;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, v]) => v !== null)
      .map(([k, v]) => [k, withoutNulls<unknown>(v)]),
  ) as T;
}
