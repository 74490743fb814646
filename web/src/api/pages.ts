import type { QueryKey } from '@tanstack/react-query';
import { keepPreviousData, useInfiniteQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { Result } from './client';
import { answered } from './client';

/** A part of a long list. */
export interface Part<T> {
  items: T[];
  /** Of the whole list. */
  total: number;
  /** Where the next part begins; null at the end. */
  next: string | null;
}

/** The part that an answer is, with what its headers say of the whole. */
export async function partOf<T>(call: Promise<Result<T[]>>): Promise<Part<T>> {
  const headers: { total?: string | null; link?: string | null } = {};
  const items = await answered(
    call.then((result) => {
      headers.total = result.response.headers.get('Total-Count');
      headers.link = result.response.headers.get('Link');
      return result;
    }),
  );
  return {
    items,
    total: Number(headers.total ?? items.length),
    next: headers.link ? nextOf(headers.link) : null,
  };
}

/** What stands for the next part in a header of links (RFC 8288). */
export function nextOf(link: string): string | null {
  const address = /<([^>]*)>\s*;\s*rel="?next"?/.exec(link)?.[1];
  return address ? new URL(address, 'http://here').searchParams.get('after') : null;
}

/** A long list as far as it was read. */
export interface LongList<T> {
  /** Undefined until the first part is there. */
  items: T[] | undefined;
  total: number;
  /** Reads on; null where all of it is read, or the next part is on its way. */
  more: (() => void) | null;
  failureCount: number;
  /** When it was read, ms. */
  readAt: number;
}

/**
 * A long list, read part by part as it is looked at; what was read stays until the answer to another search is there.
 *
 * @param ask for the part that begins behind what is given
 */
export function useLongList<T>(
  key: QueryKey,
  ask: (after: string | undefined, signal: AbortSignal) => Promise<Part<T>>,
): LongList<T> {
  const query = useInfiniteQuery({
    queryKey: key,
    queryFn: ({ pageParam, signal }) => ask(pageParam, signal),
    initialPageParam: undefined as string | undefined,
    getNextPageParam: (last) => last.next ?? undefined,
    placeholderData: keepPreviousData,
  });
  const pages = query.data?.pages;
  const items = useMemo(() => pages?.flatMap((p) => p.items), [pages]);
  const { fetchNextPage } = query;
  return {
    items,
    total: pages?.[0]?.total ?? 0,
    more: query.hasNextPage && !query.isFetchingNextPage ? () => void fetchNextPage() : null,
    failureCount: query.failureCount,
    readAt: query.dataUpdatedAt,
  };
}
