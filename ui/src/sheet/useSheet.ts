import { computed, ref } from 'vue'
import { asProblem } from '../api/http'
import { sheetPage, sheetPdf, type SheetKind } from '../api/korvel'
import { useAnswerTo } from '../shared/answer'
import { saveFile } from '../shared/saveFile'

/**
 * A sheet that follows what is asked of it: as a page to look at and print, and as a PDF. While
 * something is wrong the last page stands.
 *
 * @param request what is asked; null where there is nothing to ask for yet
 */
export function useSheet(kind: SheetKind, request: () => object | null) {
  const sheet = useAnswerTo(request, (asked) => sheetPage(kind, asked))
  const making = ref(false)
  async function pdf() {
    const asked = request()
    if (!asked || making.value) return
    making.value = true
    try {
      saveFile(await sheetPdf(kind, asked))
    } catch (thrown) {
      sheet.show(asProblem(thrown))
    } finally {
      making.value = false
    }
  }
  return { ...sheet, page: computed(() => sheet.answer.value ?? ''), making, pdf }
}
