/** The picture that was chosen in a field of files, in base64; null for none. */
export async function chosenPicture(picker: HTMLInputElement | undefined): Promise<string | null> {
  const file = picker?.files?.[0]
  if (!file) return null
  let text = ''
  for (const byte of new Uint8Array(await file.arrayBuffer())) text += String.fromCharCode(byte)
  return btoa(text)
}
