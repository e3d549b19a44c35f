import { describe, expect, it } from 'vitest'
import { dropped, type Drop } from './dropped'

const file = (name: string) => new File(['x'], name)

function entryOf(path: string, children?: FileSystemEntry[]): FileSystemEntry {
  const name = path.slice(path.lastIndexOf('/') + 1)
  if (!children)
    return { isFile: true, fullPath: path, file: (done: (f: File) => void) => done(file(name)) } as never
  return {
    isFile: false,
    fullPath: path,
    createReader() {
      const left = [...children]
      // As browsers do: so many at a time, and an empty list at the end.
      return { readEntries: (done: (some: FileSystemEntry[]) => void) => done(left.splice(0, 2)) }
    },
  } as never
}

const drop = (entries: (FileSystemEntry | null)[], files: File[] = []): Drop => ({
  items: entries.map((e) => ({ webkitGetAsEntry: () => e })),
  files,
})

describe('what is dropped', () => {
  it('keeps the folders of files', async () => {
    const folder = entryOf('/site', [
      entryOf('/site/index.html'),
      entryOf('/site/css', [entryOf('/site/css/a.css')]),
      entryOf('/site/b.html'),
    ])
    const list = await dropped(drop([folder, entryOf('/other.html')]))
    expect(list.map((d) => d.path)).toEqual([
      'site/index.html',
      'site/css/a.css',
      'site/b.html',
      'other.html',
    ])
    expect(list[1]!.file.name).toBe('a.css')
  })

  it('reads the files if a browser knows no entries', async () => {
    expect(await dropped(drop([null], [file('a.html')]))).toMatchObject([{ path: 'a.html' }])
  })

  it('is nothing for an empty folder', async () => {
    expect(await dropped(drop([entryOf('/empty', [])]))).toEqual([])
  })
})
