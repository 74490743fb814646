/** Names a part of something that is kept as a whole: an element of a plan, a duct of a site. */
export function newId(): string {
  return crypto.randomUUID().slice(0, 8);
}
