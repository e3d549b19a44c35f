import type { Problem } from '@/api/types'

/** Saves what an address gives as a file; throws what the program says where it gives none. */
export async function saveFile(address: string) {
  const answer = await fetch(address)
  if (!answer.ok) throw (await answer.json()) as Problem
  const named = /filename="([^"]+)"/.exec(answer.headers.get('content-disposition') ?? '')
  const link = document.createElement('a')
  link.href = URL.createObjectURL(await answer.blob())
  link.download = named?.[1] ?? 'document'
  link.click()
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000)
}
