/** A file that is not imported; its message is meant for the person who chose it. */
export class ImportRefused extends Error {
  override readonly name = "ImportRefused";
}
