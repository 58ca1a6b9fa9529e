import process from 'node:process';

/** This process, as it stands in names of files that are only there while it writes. */
export const ownId = (): number => process.pid;

/** Whether a process of this machine is still there. What isn't ours may not be asked, which says that it is. */
export function isRunning(id: number): boolean {
  try {
    process.kill(id, 0);
    return true;
  } catch (cause) {
    return (cause as NodeJS.ErrnoException).code === 'EPERM';
  }
}
