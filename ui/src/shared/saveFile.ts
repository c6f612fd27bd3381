/** Hands a file to the browser, which keeps it where downloads go. */
export function saveFile(file: File) {
  const address = URL.createObjectURL(file)
  const link = document.createElement('a')
  link.href = address
  link.download = file.name
  link.click()
  // The download has begun by the next turn; the file is then its own.
  window.setTimeout(() => URL.revokeObjectURL(address), 10_000)
}
