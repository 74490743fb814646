import { sessionHeaders } from '../../api';

/** As the server takes it. */
const PART_BYTES = 1 << 20;

/**
 * Sends a file in parts, whatever its length, and tells how far it is.
 *
 * @returns by which name the server knows it
 */
export async function upload(
  file: Blob,
  onPercent: (percent: number) => void,
  signal: AbortSignal,
): Promise<string> {
  const id = crypto.randomUUID();
  const parts = Math.max(1, Math.ceil(file.size / PART_BYTES));
  for (let i = 0; i < parts; i++) {
    const answer = await fetch(`/api/transfers/uploads/${id}/parts/${i}`, {
      method: 'PUT',
      headers: { ...sessionHeaders(), 'Content-Type': 'application/octet-stream' },
      body: file.slice(i * PART_BYTES, (i + 1) * PART_BYTES),
      signal,
    });
    if (!answer.ok) {
      const problem = (await answer.json().catch(() => null)) as { detail?: string } | null;
      throw new Error(problem?.detail ?? 'the server does not answer');
    }
    onPercent((100 * (i + 1)) / parts);
  }
  return id;
}
