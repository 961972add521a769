/** How thick thread is, millimetres: the usual weight 40. */
export const THREAD_THICKNESS = 0.4;
