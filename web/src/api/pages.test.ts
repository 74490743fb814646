import { describe, expect, test } from 'vitest';
import { Refused } from './client';
import { nextOf, partOf } from './pages';

const answer = (headers: Record<string, string>) =>
  Promise.resolve({ data: ['a', 'b'], response: new Response(null, { headers }) });

describe('a part of a long list', () => {
  test('says how long the whole is and where it goes on', async () => {
    const link = '</api/plans?find=quay%20house&limit=2&after=bm93>; rel="next"';
    expect(await partOf(answer({ 'Total-Count': '7', Link: link }))).toEqual({
      items: ['a', 'b'],
      total: 7,
      next: 'bm93',
    });
  });

  test('is the end where no link leads on', async () => {
    expect(await partOf(answer({ 'Total-Count': '2' }))).toMatchObject({ total: 2, next: null });
    expect(nextOf('</api/plans?after=x>; rel="prev"')).toBeNull();
  });

  test('is no part where the server said no', async () => {
    const refused = Promise.resolve({
      error: { status: 400, title: 'Invalid', detail: 'after must be a place in this list' },
      response: new Response(null, { status: 400 }),
    });
    await expect(partOf(refused)).rejects.toBeInstanceOf(Refused);
  });
});
