/** Names an element or a band of one plan. */
export function newId(): string {
  return crypto.randomUUID().slice(0, 8);
}
