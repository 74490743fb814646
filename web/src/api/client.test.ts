import { describe, expect, it } from 'vitest';
import { answered, Away, Refused, withoutNulls } from './client';
import type { Problem } from './client';
import { shouldRetry } from './queries';

function result(status: number, more: { data?: unknown; error?: unknown } = {}) {
  return Promise.resolve({ ...more, response: new Response(null, { status }) });
}

const problem = (status: number, change: Partial<Problem> = {}): Problem => ({
  status,
  title: 'No',
  detail: 'bands must be given.',
  ...change,
});

async function failure(call: Promise<unknown>): Promise<Error> {
  return call.then(
    () => {
      throw new Error('it went well');
    },
    (error: unknown) => error as Error,
  );
}

describe('an answer', () => {
  it('is its data', async () => {
    await expect(answered(result(200, { data: { id: 'p' } }))).resolves.toEqual({ id: 'p' });
  });

  it('without data is nothing', async () => {
    await expect(answered(result(204))).resolves.toBeUndefined();
  });

  it('that is a problem says what is wrong, and keeps all of it', async () => {
    const said = problem(422, { errors: [{ path: 'bands', message: 'must be given' }] });
    const error = await failure(answered(result(422, { error: said })));
    expect(error).toBeInstanceOf(Refused);
    expect(error.message).toBe('bands must be given.');
    expect((error as Refused).problem).toBe(said);
  });

  it('that never comes is a server that is away', async () => {
    const error = await failure(answered(Promise.reject(new TypeError('fetch failed'))));
    expect(error).toBeInstanceOf(Away);
    expect((error as Away).what).toBe('server');
  });

  it.each([
    ['Disk full', 'disk', 'the disk is full'],
    ['Database away', 'database', 'the database does not answer'],
  ])('503 “%s” is the %s', async (title, what, message) => {
    const error = await failure(answered(result(503, { error: problem(503, { title }) })));
    expect((error as Away).what).toBe(what);
    expect(error.message).toBe(message);
  });

  it('503 that says nothing is the database', async () => {
    expect(((await failure(answered(result(503)))) as Away).what).toBe('database');
  });

  it.each([
    ['nothing', undefined],
    ['a page of a proxy', '<html>Bad gateway</html>'],
    ['an object of somebody else', { message: 'no' }],
  ])('502 with %s is nobody of ours', async (_, error) => {
    const failed = await failure(answered(result(502, { error })));
    expect((failed as Away).what).toBe('server');
  });
});

describe('a failed question', () => {
  it('is asked again while nobody answers, but not for ever', () => {
    expect(shouldRetry(0, new Away('server'))).toBe(true);
    expect(shouldRetry(29, new Away('database'))).toBe(true);
    expect(shouldRetry(30, new Away('server'))).toBe(false);
  });

  it('is asked again where the server computes as much as it can', () => {
    const busy = new Refused(problem(429));
    expect(shouldRetry(9, busy)).toBe(true);
    expect(shouldRetry(10, busy)).toBe(false);
  });

  it.each([400, 404, 409, 422])('is not asked again after %d', (status) => {
    expect(shouldRetry(0, new Refused(problem(status)))).toBe(false);
  });

  it('is not asked again after a fault of our own', () => {
    expect(shouldRetry(0, new Error('a slip'))).toBe(false);
  });
});

describe('what is edited', () => {
  it('has no nulls, however deep', () => {
    expect(
      withoutNulls({ a: null, b: 0, c: '', d: false, e: [{ f: null, g: 1 }, null, 2] }),
    ).toEqual({ b: 0, c: '', d: false, e: [{ g: 1 }, null, 2] });
  });

  it.each([1, 'text', null, undefined, true])('%s stays what it is', (value) => {
    expect(withoutNulls(value)).toBe(value);
  });

  it('leaves what was given as it was', () => {
    const given = { a: null, b: { c: null } };
    withoutNulls(given);
    expect(given).toEqual({ a: null, b: { c: null } });
  });
});
