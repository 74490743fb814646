/** A drawing as a file of its own, with its colours written out. */
export function saveSvg(name: string, svg: SVGSVGElement | null): void {
  if (svg) saveFile(`${name}.svg`, 'image/svg+xml', svgText(svg));
}

function svgText(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  const style = getComputedStyle(document.documentElement);
  return new XMLSerializer()
    .serializeToString(copy)
    .replace(/var\((--[a-z-]+)\)/g, (_, variable: string) =>
      style.getPropertyValue(variable).trim(),
    );
}

/** Dots of a picture for each pixel of the screen: sharp enough for print. */
const DOTS_PER_PIXEL = 3;

/** What is on screen as a picture; what draws it is fetched when it is first asked for. */
export async function savePng(name: string, drawn: HTMLElement | null): Promise<void> {
  if (!drawn) return;
  const { toBlob } = await import('html-to-image');
  const paper = getComputedStyle(document.documentElement).getPropertyValue('--paper').trim();
  const picture = await toBlob(drawn, { pixelRatio: DOTS_PER_PIXEL, backgroundColor: paper });
  if (picture) saveFile(`${name}.png`, 'image/png', picture);
}

/** Hands a file to the browser, which asks or keeps it where it keeps such things. */
export function saveFile(fileName: string, type: string, content: string | Blob): void {
  const address = URL.createObjectURL(new Blob([content], { type }));
  const link = document.createElement('a');
  link.href = address;
  link.download = fileName.replace(/[\\/:*?"<>|]/g, '-');
  link.click();
  URL.revokeObjectURL(address);
}
