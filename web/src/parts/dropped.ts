/** A file that a user adds, with the folders that it was in. */
export interface DroppedFile {
  file: File
  path: string
}

/** What of a drop is read here: its items, or else its files. */
export interface Drop {
  items: Iterable<{ webkitGetAsEntry(): FileSystemEntry | null }>
  files: Iterable<File>
}

/** The files of a drop, those of dropped folders too. */
export async function dropped(drop: Drop): Promise<DroppedFile[]> {
  const entries = [...drop.items].map((i) => i.webkitGetAsEntry()).filter((e) => e !== null)
  if (!entries.length) return [...drop.files].map((file) => ({ file, path: file.name }))
  return (await Promise.all(entries.map(below))).flat()
}

async function below(entry: FileSystemEntry): Promise<DroppedFile[]> {
  if (entry.isFile) {
    const file = await new Promise<File>((done, fail) => (entry as FileSystemFileEntry).file(done, fail))
    return [{ file, path: entry.fullPath.replace(/^\//, '') }]
  }
  const reader = (entry as FileSystemDirectoryEntry).createReader()
  const inside: DroppedFile[] = []
  // A reader hands out a hundred entries at a time.
  for (;;) {
    const some = await new Promise<FileSystemEntry[]>((done, fail) => reader.readEntries(done, fail))
    if (!some.length) return inside
    inside.push(...(await Promise.all(some.map(below))).flat())
  }
}
