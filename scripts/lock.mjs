import { stop } from './build.mjs';

/** For a tool that needs the folder for itself; ends with the reason where another program has it. */
export function lockOrStop({ lockFolder, FolderTaken }, folder, does) {
  try {
    return lockFolder(folder, does);
  } catch (error) {
    if (error instanceof FolderTaken) return stop(error.message);
    throw error;
  }
}
