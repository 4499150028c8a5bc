/** The browser's private file system in memory, as far as the app uses it. */
export function privateFiles() {
  const files = new Map<string, string>()
  const handleOf = (name: string) => ({
    getFile: async () => {
      const text = files.get(name)
      if (text === undefined) throw new DOMException('no such file', 'NotFoundError')
      return new Blob([text])
    },
    createWritable: async () => {
      let text = ''
      return { write: async (more: string) => void (text += more), close: async () => void files.set(name, text) }
    },
  })
  const folder = {
    getFileHandle: async (name: string, { create = false } = {}) => {
      if (!create && !files.has(name)) throw new DOMException('no such file', 'NotFoundError')
      return handleOf(name)
    },
    removeEntry: async (name: string) => void files.delete(name),
    keys: async function* () {
      yield* [...files.keys()]
    },
  }
  const root = { getDirectoryHandle: async () => folder }
  return { files, storage: { getDirectory: async () => root } }
}
