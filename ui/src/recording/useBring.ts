import { reactive, ref, type Ref } from 'vue'
import { asProblem, type Problem } from '../api/http'
import {
  bringRecording,
  discardRecording,
  type RecordingPreview,
  type RecordingRead,
  type RecordingSaid,
} from '../api/korvel'

/** A file on its way in. */
export interface Brought {
  key: number
  file: File
  state: 'waiting' | 'reading' | 'asked' | 'read' | 'refused'
  read: RecordingRead | null
  problem: Problem | null
}

const NOTHING: RecordingSaid = { csv: null, startedAt: null }

/** Files that are brought in: one read after the other, so that none waits for ever. */
export function useBring(client: Ref<string>) {
  const files = ref<Brought[]>([])
  let keys = 0
  let busy = false

  async function read(item: Brought, said: RecordingSaid) {
    forget(item)
    item.state = 'reading'
    item.problem = null
    try {
      item.read = await bringRecording(client.value, item.file, said)
      item.state = item.read.asked.length ? 'asked' : 'read'
    } catch (thrown) {
      item.problem = asProblem(thrown)
      item.state = 'refused'
    }
  }

  /** What was read of it before is not waited for any more. */
  function forget(item: Brought) {
    const preview = item.read?.preview
    if (preview) void discardRecording(preview.id).catch(() => undefined)
  }

  async function work() {
    if (busy) return
    busy = true
    for (let next = waiting(); next; next = waiting()) await read(next, NOTHING)
    busy = false
  }
  const waiting = () => files.value.find(({ state }) => state === 'waiting')

  function add(more: Iterable<File>) {
    for (const file of more) {
      files.value.push(reactive({ key: ++keys, file, state: 'waiting', read: null, problem: null }))
    }
    void work()
  }
  const remove = (item: Brought) => {
    files.value = files.value.filter(({ key }) => key !== item.key)
  }
  /** Forgets it, here and on the server. */
  function discard(item: Brought) {
    remove(item)
    forget(item)
  }
  function shown(item: Brought, preview: RecordingPreview) {
    if (item.read) item.read = { ...item.read, preview }
  }
  return { files, add, read, remove, discard, shown }
}
