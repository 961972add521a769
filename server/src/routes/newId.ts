import { customAlphabet } from "nanoid";

/** An id that nothing has yet: 12 letters and digits, which stand in addresses as they are. */
export const newId = customAlphabet("0123456789abcdefghijklmnopqrstuvwxyz", 12);
