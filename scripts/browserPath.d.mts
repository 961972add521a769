/** The browser that the tests and the measurements use: the quicker one where it is installed. */
export function browserPath(): string;
