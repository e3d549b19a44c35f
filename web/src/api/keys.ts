/**
 * The keys of all that is asked of the program: `client`, which one, and a name that madeof.json has,
 * with what it is made from.
 */
export const keys = {
  /** All clients as the shelf shows them. */
  shelf: ['shelf'] as const,
  /** All clients by name. */
  names: ['names'] as const,
  /** The backups that were made by themselves. */
  backups: ['backups'] as const,
  client: (client: number) => ['client', client] as const,
  ground: (client: number) => ['client', client, 'ground'] as const,
  proposal: (client: number) => ['client', client, 'proposal'] as const,
  book: (client: number) => ['client', client, 'book'] as const,
  communities: (client: number) => ['client', client, 'communities'] as const,
  candidates: (client: number) => ['client', client, 'candidates'] as const,
  lists: (client: number) => ['client', client, 'lists'] as const,
  found: (client: number) => ['client', client, 'found'] as const,
  site: (client: number) => ['client', client, 'site'] as const,
  overview: (client: number) => ['client', client, 'overview'] as const,
  beside: (client: number, page: number) => ['client', client, 'beside', page] as const,
  /** A recorded search, 0 for the main one. */
  lineup: (client: number, lineup = 0) => ['client', client, 'lineup', lineup] as const,
  /** The bookmark that hands pages over. */
  bookmark: ['bookmark'] as const,
  siteKinds: ['site kinds'] as const,
  /** The figures of clients, 0 for the workspace. */
  yardsticks: ['yardstick'] as const,
  yardstick: (client: number) => ['yardstick', client] as const,
  presets: ['presets'] as const,
  figures: (client: number) => ['client', client, 'figures'] as const,
  run: (client: number) => ['client', client, 'run'] as const,
  sheet: (client: number, page: number) => ['client', client, 'sheet', page] as const,
  plan: (client: number) => ['client', client, 'plan'] as const,
  outline: (client: number, page: string) => ['client', client, 'outline', page] as const,
  ladder: (client: number, page: string) => ['client', client, 'ladder', page] as const,
  drafts: (client: number, page: string) => ['client', client, 'drafts', page] as const,
  images: (client: number) => ['client', client, 'images'] as const,
  why: (client: number, target: string, part: string) => ['client', client, 'why', target, part] as const,
  brief: (client: number, page: number) => ['client', client, 'brief', page] as const,
  evidence: (client: number, page: number, entry: number, phrase: string) =>
    ['client', client, 'evidence', page, entry, phrase] as const,
  facts: (client: number, page: number, entry: number) => ['client', client, 'facts', page, entry] as const,
  madeOf: (client: number, page: number, entry: number) =>
    ['client', client, 'made of', page, entry] as const,
}
