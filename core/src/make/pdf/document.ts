/** Points a millimetre. */
export const POINTS = 72 / 25.4;

/** A new PDF of a title. The same design gives the same bytes: it carries no time of its own. */
export async function newDocument(title: string) {
  // Loaded only when a PDF is made: it is large.
  const { PDFDocument, PDFName } = await import("pdf-lib");
  const document = await PDFDocument.create();
  document.setTitle(title);
  document.setProducer("Twin Petal");
  document.setCreationDate(new Date(0));
  document.setModificationDate(new Date(0));
  return { document, PDFName };
}
