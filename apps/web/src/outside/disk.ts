/** Whether the disk of the studio is full, as the server says with each answer: what is sent then waits here. */
import { told } from './told';

const full = told(false);

export const isDiskFull = full.get;
export const onDisk = full.subscribe;

/** said: what an answer has in its header; null where it has none. */
export const noteDisk = (said: string | null): void => full.set(said === 'full');
