import { ref, shallowRef, watch } from 'vue'
import { asProblem, type Finding } from '../api/http'
import { sheetPage, sheetPdf, type SheetKind } from '../api/korvel'
import { useFieldMessages } from '../shared/fields'
import { saveFile } from '../shared/saveFile'

/**
 * A sheet that follows what is asked of it: as a page to look at and print, and as a PDF. While
 * something is wrong the last page stands.
 *
 * @param request what is asked; null where there is nothing to ask for yet
 */
export function useSheet(kind: SheetKind, request: () => object | null) {
  const page = shallowRef('')
  const behind = ref(false)
  const refused = ref<Finding[]>([])
  const { messages, general, clear, show } = useFieldMessages()
  let latest = 0

  function wrong(thrown: unknown) {
    const problem = asProblem(thrown)
    refused.value = problem.findings
    if (problem.findings.length) page.value = ''
    show(problem)
  }

  watch(
    request,
    async (asked) => {
      const mine = ++latest
      if (!asked) {
        page.value = ''
        return
      }
      behind.value = true
      try {
        const made = await sheetPage(kind, asked)
        if (mine !== latest) return
        page.value = made
        behind.value = false
        refused.value = []
        clear()
      } catch (thrown) {
        if (mine === latest) wrong(thrown)
      }
    },
    { immediate: true, deep: true },
  )

  const making = ref(false)
  async function pdf() {
    const asked = request()
    if (!asked || making.value) return
    making.value = true
    try {
      saveFile(await sheetPdf(kind, asked))
    } catch (thrown) {
      wrong(thrown)
    } finally {
      making.value = false
    }
  }
  return { page, behind, refused, messages, general, making, pdf }
}
