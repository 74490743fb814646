/** Dots on paper for each CSS pixel: 240 to the inch. */
const DOTS_PER_PIXEL = 2.5;

const QUALITY = 0.92;

/** The pages of a sheet as one PDF file, as they are seen; what draws it is fetched from the server when it is first asked for. */
export async function savePdf(
  pages: readonly HTMLElement[],
  format: 'a4' | 'letter',
  fileName: string,
): Promise<void> {
  const [{ toCanvas }, { jsPDF }] = await Promise.all([import('html-to-image'), import('jspdf')]);
  const file = new jsPDF({ unit: 'mm', format, compress: true });
  const width = file.internal.pageSize.getWidth();
  const height = file.internal.pageSize.getHeight();
  for (const [i, page] of pages.entries()) {
    const canvas = await toCanvas(page, { pixelRatio: DOTS_PER_PIXEL, backgroundColor: '#ffffff' });
    if (i > 0) file.addPage(format);
    file.addImage(canvas.toDataURL('image/jpeg', QUALITY), 'JPEG', 0, 0, width, height);
  }
  file.save(fileName.replace(/[\\/:*?"<>|]/g, '-'));
}
