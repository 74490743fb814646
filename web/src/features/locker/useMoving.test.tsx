// @vitest-environment jsdom
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { answering, Problem } from '../../testing/answers';
import type { Movable } from './useMoving';
import { useMoving } from './useMoving';

const piece = (id: string, outSince: string | null = null): Movable => ({
  id,
  label: `Piece ${id}`,
  outSince,
});

function moving() {
  const client = new QueryClient();
  return renderHook(() => useMoving(), {
    wrapper: ({ children }: { children: React.ReactNode }) => (
      <QueryClientProvider client={client}>{children}</QueryClientProvider>
    ),
  });
}

describe('taking out and putting away', () => {
  afterEach(() => vi.restoreAllMocks());

  it('moves those that are not there yet, at once', async () => {
    const asked = answering({ 'PUT /api/locker/movements/{id}': () => [] });
    const { result } = moving();
    act(() => result.current.go('TOOK_OUT', [piece('a'), piece('b', '2026-05-01'), piece('c')]));
    await waitFor(() => expect(result.current.moved).not.toBeNull());
    expect(asked[0]?.body).toMatchObject({ kind: 'TOOK_OUT', pieceIds: ['a', 'c'] });
    expect(result.current.moved?.labels).toEqual(['Piece a', 'Piece c']);
  });

  it('puts away what is out', async () => {
    const asked = answering({ 'PUT /api/locker/movements/{id}': () => [] });
    const { result } = moving();
    act(() => result.current.go('PUT_AWAY', [piece('a'), piece('b', '2026-05-01')]));
    await waitFor(() => expect(asked).toHaveLength(1));
    expect(asked[0]?.body).toMatchObject({ kind: 'PUT_AWAY', pieceIds: ['b'] });
  });

  it('does nothing where nothing is to be moved', () => {
    const asked = answering({});
    const { result } = moving();
    act(() => result.current.go('PUT_AWAY', [piece('a')]));
    expect(asked).toEqual([]);
    expect(result.current.moved).toBeNull();
  });

  it('says anew where to under the same name', async () => {
    const asked = answering({ 'PUT /api/locker/movements/{id}': () => [] });
    const { result } = moving();
    act(() => result.current.go('TOOK_OUT', [piece('a')]));
    await waitFor(() => expect(result.current.moved).not.toBeNull());
    act(() => result.current.amend({ to: 'Seal Rock' }));
    await waitFor(() => expect(result.current.moved?.movement.to).toBe('Seal Rock'));
    expect(asked[1]?.params).toEqual(asked[0]?.params);
    expect(asked[1]?.body).toMatchObject({ kind: 'TOOK_OUT', pieceIds: ['a'], to: 'Seal Rock' });
  });

  it('is taken back as if it had never been', async () => {
    const asked = answering({
      'PUT /api/locker/movements/{id}': () => [],
      'DELETE /api/locker/movements/{id}': () => [],
    });
    const { result } = moving();
    act(() => result.current.go('TOOK_OUT', [piece('a')]));
    await waitFor(() => expect(result.current.moved).not.toBeNull());
    act(() => result.current.takeBack());
    await waitFor(() => expect(result.current.moved).toBeNull());
    expect(asked.at(-1)).toMatchObject({ method: 'DELETE', params: asked[0]?.params });
  });

  it('tells why something was not moved, until the next try', async () => {
    const answers: Record<string, (body: never) => unknown> = {
      'PUT /api/locker/movements/{id}': () => new Problem(422, 'Piece a is out since 2026-05-01'),
    };
    answering(answers);
    const { result } = moving();
    act(() => result.current.go('TOOK_OUT', [piece('a')]));
    await waitFor(() => expect(result.current.trouble?.message).toContain('is out since'));
    expect(result.current.moved).toBeNull();
    answers['PUT /api/locker/movements/{id}'] = () => [];
    act(() => result.current.go('TOOK_OUT', [piece('a')]));
    await waitFor(() => expect(result.current.moved).not.toBeNull());
    expect(result.current.trouble).toBeNull();
  });

  it('is done with when the operator says so', async () => {
    answering({ 'PUT /api/locker/movements/{id}': () => [] });
    const { result } = moving();
    act(() => result.current.go('TOOK_OUT', [piece('a')]));
    await waitFor(() => expect(result.current.moved).not.toBeNull());
    act(() => result.current.done());
    expect(result.current.moved).toBeNull();
  });
});
