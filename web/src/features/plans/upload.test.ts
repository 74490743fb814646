import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { upload } from './upload';

const MEGABYTE = 1 << 20;

/** A file of so many bytes, of which no byte is looked at. */
function fileOf(size: number): Blob {
  return { size, slice: (from: number, to: number) => ({ from, to: Math.min(to, size) }) } as never;
}

describe('a large file', () => {
  const put = vi.fn();

  beforeEach(() => {
    put.mockReset();
    put.mockImplementation(() => Promise.resolve(new Response(null, { status: 204 })));
    vi.stubGlobal('fetch', put);
  });

  afterEach(() => vi.unstubAllGlobals());

  const parts = () => put.mock.calls.map(([, init]) => (init as { body: unknown }).body);
  const addresses = () => put.mock.calls.map(([address]) => address as string);

  it('goes in parts that meet each other, and tells how far it is', async () => {
    const percents: number[] = [];
    const id = await upload(
      fileOf(2.5 * MEGABYTE),
      (p) => percents.push(p),
      new AbortController().signal,
    );
    expect(parts()).toEqual([
      { from: 0, to: MEGABYTE },
      { from: MEGABYTE, to: 2 * MEGABYTE },
      { from: 2 * MEGABYTE, to: 2.5 * MEGABYTE },
    ]);
    expect(addresses()).toEqual([0, 1, 2].map((n) => `/api/transfers/uploads/${id}/parts/${n}`));
    expect(percents.map(Math.round)).toEqual([33, 67, 100]);
  });

  it('that is empty, or just one part, goes in one', async () => {
    await upload(fileOf(0), () => undefined, new AbortController().signal);
    await upload(fileOf(MEGABYTE), () => undefined, new AbortController().signal);
    expect(parts()).toEqual([
      { from: 0, to: 0 },
      { from: 0, to: MEGABYTE },
    ]);
  });

  it('that the server does not take says why, and sends no more', async () => {
    put.mockResolvedValueOnce(
      new Response('{"detail":"A file may have 200 MB."}', { status: 413 }),
    );
    await expect(
      upload(fileOf(3 * MEGABYTE), () => undefined, new AbortController().signal),
    ).rejects.toThrow('A file may have 200 MB.');
    expect(put).toHaveBeenCalledTimes(1);
  });

  it('says that nobody answers where the answer is none of ours', async () => {
    put.mockResolvedValueOnce(new Response('<html>', { status: 502 }));
    await expect(upload(fileOf(1), () => undefined, new AbortController().signal)).rejects.toThrow(
      'the server does not answer',
    );
  });

  it('can be given up', async () => {
    const giveUp = new AbortController();
    await upload(fileOf(1), () => undefined, giveUp.signal);
    const [, init] = put.mock.calls[0] as [string, RequestInit];
    expect(init.signal).toBe(giveUp.signal);
  });
});
