/** Why a device cannot do what it was sent, in words. */
export interface Refusal {
  /** What is wrong and what would be right. */
  readonly refusal: string;
}

/** One step of a device's run, as it is streamed. */
export interface DeviceStep {
  /** How long it takes the device, seconds. */
  readonly seconds: number;
  /** What it did, plain data for the trace. */
  readonly trace: Readonly<Record<string, number>>;
}

/** A file a device has read and found right, ready to run. */
export interface DeviceRun {
  /** How many steps it has. */
  readonly steps: number;
  /** Does one step, counted from 0. */
  step: (index: number) => DeviceStep;
  /** What it did in all, by name: lengths, times, the box. Asked when the last step is done, or when it was stopped. */
  report: () => Readonly<Record<string, number>>;
}

/** Where a device finds what it needs. */
export interface DeviceHost {
  /** The solid engine's WebAssembly. */
  solidEngine: () => Promise<Uint8Array | ArrayBuffer>;
}

/** A simulated device: it reads a file as a real one would, and runs it. Adding one is a file with one of these and a line in the list. */
export interface Device {
  /** Its name, also the `device` of the interface over HTTP. */
  readonly kind: string;
  /** What it is, in words. */
  readonly name: string;
  /** The endings of the files it reads. */
  readonly reads: readonly string[];
  /** What one step of it is called. */
  readonly stepName: string;
  /** Its settings, read from plain data; what is wrong with them in words. */
  readSettings: (data: unknown) => { readonly settings: object } | Refusal;
  /** Reads a file; refuses in words what it cannot read or what leaves its frame. */
  open: (file: Uint8Array, settings: object, host: DeviceHost) => Promise<DeviceRun | Refusal>;
}
