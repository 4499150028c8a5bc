/** Where second copies stand in the browser's private file system (secondCopy.ts). */
export const COPIES = 'second-copies'
/** Whether there is any second copy: told without what reads one. */
export async function hasCopies(): Promise<boolean> {
  try {
    const folder = await (await navigator.storage.getDirectory()).getDirectoryHandle(COPIES)
    return !(await folder.keys().next()).done
  } catch {
    return false // No folder, or a browser without: nothing to bring back.
  }
}
