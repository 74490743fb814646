// @vitest-environment jsdom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { answering, Problem } from '../../testing/answers';
import type { Address } from './instrument';
import { addressOf, holderOfThisTab, instruments, releaseOnTheWayOut, sweep } from './instrument';

const AT: Address = { host: 'analyser', port: 5025, holder: 'me' };
const WANTED = {
  startMHz: 1,
  stopMHz: 50,
  points: 101,
  connection: 'THROUGH' as never,
  name: 'Quay 30',
};

describe('an instrument', () => {
  beforeEach(() => {
    sessionStorage.clear();
    vi.useFakeTimers();
  });
  afterEach(() => {
    vi.restoreAllMocks();
    vi.useRealTimers();
  });

  it('is somewhere: a host and a port', () => {
    expect(addressOf(' shack.local:5025 ')).toMatchObject({ host: 'shack.local', port: 5025 });
    expect(addressOf('[fe80::1]:5025')).toMatchObject({ host: 'fe80::1', port: 5025 });
    for (const nowhere of ['shack', 'shack:', ':5025', 'shack:0', 'shack:65536', 'a b:1', '']) {
      expect(addressOf(nowhere), nowhere).toBeNull();
    }
  });

  it('is held by this tab, the same over a reload', () => {
    const me = holderOfThisTab();
    expect(holderOfThisTab()).toBe(me);
    expect(addressOf('shack:5025')?.holder).toBe(me);
    sessionStorage.clear();
    expect(holderOfThisTab()).not.toBe(me);
  });

  it('is told what to do in the words of the interface', async () => {
    const done = () => ({});
    const asked = answering({
      'POST /api/instruments/identity': done,
      'POST /api/instruments/shelf': done,
      'POST /api/instruments/calibration': done,
      'POST /api/instruments/readings': done,
      'POST /api/instruments/release': done,
    });
    await instruments.identify(AT);
    await instruments.connect(AT, null);
    await instruments.calibrate(AT, 'OPEN');
    await instruments.read(AT, 14.2, 20, 'THROUGH' as never);
    await instruments.release(AT);
    expect(asked.map((a) => a.body)).toEqual([
      AT,
      { instrument: AT, cable: undefined },
      { instrument: AT, standard: 'OPEN' },
      { instrument: AT, frequencyMHz: 14.2, powerW: 20, path: 'THROUGH' },
      AT,
    ]);
  });

  it('is let go of while the page goes away', () => {
    const fetched = vi.spyOn(globalThis, 'fetch').mockResolvedValue(new Response());
    releaseOnTheWayOut(AT);
    expect(fetched).toHaveBeenCalledWith(
      '/api/instruments/release',
      expect.objectContaining({ keepalive: true, body: JSON.stringify(AT) }),
    );
  });
});

describe('a sweep', () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => {
    vi.restoreAllMocks();
    vi.useRealTimers();
  });

  function analyser(percents: number[]) {
    const left = [...percents];
    return answering({
      'POST /api/instruments/sweeps': () => ({}),
      'POST /api/instruments/sweeps/progress': () => ({ percent: left.shift() ?? percents.at(-1) }),
      'POST /api/instruments/sweeps/abort': () => ({}),
      'POST /api/instruments/sweeps/result': () => ({ id: 'file' }),
    });
  }

  it('is begun, waited for and fetched', async () => {
    const asked = analyser([0, 40, 100]);
    const told: number[] = [];
    const running = sweep(
      AT,
      WANTED,
      (percent) => told.push(percent),
      () => false,
    );
    await vi.runAllTimersAsync();
    expect(await running).toEqual({ id: 'file' });
    expect(told).toEqual([0, 40, 100]);
    expect(asked[0]?.body).toEqual({
      instrument: AT,
      connection: 'THROUGH',
      startMHz: 1,
      stopMHz: 50,
      points: 101,
    });
    expect(asked.at(-1)?.body).toEqual({ instrument: AT, connection: 'THROUGH', name: 'Quay 30' });
  });

  it('that nobody wants any more is broken off', async () => {
    const asked = analyser([10]);
    let stopped = false;
    const running = sweep(
      AT,
      WANTED,
      () => (stopped = true),
      () => stopped,
    );
    await vi.runAllTimersAsync();
    expect(await running).toBeNull();
    expect(asked.at(-1)?.path).toBe('/api/instruments/sweeps/abort');
  });

  it('that gets no further is broken off and said so', async () => {
    const asked = analyser([37]);
    const running = sweep(
      AT,
      WANTED,
      () => undefined,
      () => false,
    );
    const failed = expect(running).rejects.toThrow(
      'the sweep has stopped at 37 % and was broken off',
    );
    await vi.runAllTimersAsync();
    await failed;
    expect(asked.at(-1)?.path).toBe('/api/instruments/sweeps/abort');
  });

  it('that goes on slowly is waited for', async () => {
    analyser(Array.from({ length: 101 }, (_, i) => i).flatMap((i) => Array<number>(20).fill(i)));
    const running = sweep(
      AT,
      WANTED,
      () => undefined,
      () => false,
    );
    await vi.runAllTimersAsync();
    expect(await running).toEqual({ id: 'file' });
  });

  it('that cannot be begun says why', async () => {
    answering({ 'POST /api/instruments/sweeps': () => new Problem(502, 'the analyser is busy') });
    await expect(
      sweep(
        AT,
        WANTED,
        () => undefined,
        () => false,
      ),
    ).rejects.toThrow('the analyser is busy');
  });
});
