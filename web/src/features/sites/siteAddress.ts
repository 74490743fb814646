/** The address of the sheet of a site; its name may have anything in it. */
export function siteAddress(name: string): string {
  return `/sites?site=${encodeURIComponent(name)}`;
}
