import { skipToken, useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, taken, type Id, type Run } from './client'
import { keys } from './keys'

/** All clients as the shelf shows them. */
export function useShelf() {
  return useQuery({ queryKey: keys.shelf, queryFn: () => taken(api.GET('/api/clients')) })
}

/** The backups that were made by themselves, the newest first. */
export function useBackups() {
  return useQuery({ queryKey: keys.backups, queryFn: () => taken(api.GET('/api/backups')) })
}

/** All clients by name. */
export function useNames() {
  return useQuery({ queryKey: keys.names, queryFn: () => taken(api.GET('/api/names')) })
}

const ofClient = (client: Id) => ({ params: { path: { client: client() } } })
const ofPage = (client: Id, page: Id) => ({ params: { path: { client: client(), page: page() } } })
const ofColumn = (client: Id, page: Id, entry: Id) => ({
  params: { path: { client: client(), page: page() }, query: { entry: entry() } },
})

export function useGround(client: Id, enabled: () => boolean = () => true) {
  return useQuery({
    queryKey: computed(() => keys.ground(client())),
    enabled: computed(enabled),
    queryFn: () => taken(api.GET('/api/clients/{client}', ofClient(client))),
  })
}

/** What the client's home page says of the business, where nothing was entered yet. */
export function useProposal(client: Id) {
  return useQuery({
    queryKey: computed(() => keys.proposal(client())),
    queryFn: () => taken(api.GET('/api/clients/{client}/proposal', ofClient(client))),
  })
}

/** The communities around the client's home town that are none of its places. */
export function useCommunities(client: Id) {
  return useQuery({
    queryKey: computed(() => keys.communities(client())),
    queryFn: () => taken(api.GET('/api/clients/{client}/communities', ofClient(client))),
  })
}

/** A recorded search, the main one for 0. */
export function useLineup(client: Id, lineup: Id = () => 0) {
  return useQuery({
    queryKey: computed(() => keys.lineup(client(), lineup())),
    queryFn: () =>
      taken(
        api.GET('/api/clients/{client}/lineup', {
          params: { path: { client: client() }, query: { lineup: lineup() } },
        }),
      ),
  })
}

/**
 * The newest run, null if there was none. It comes by events alone
 * (useProgress): an answer that was asked for could be older than an event that
 * came meanwhile, and put it back.
 */
export function useRun(client: Id) {
  return useQuery<Run | null>({ queryKey: computed(() => keys.run(client())), queryFn: skipToken })
}

/** Whether pages of a client are being read: until that is over no other reading can be started. */
export function useBusy(client: Id) {
  const { data: run } = useRun(client)
  return computed(() => run.value?.state === 'running')
}

export function useSheet(client: Id, page: Id) {
  return useQuery({
    queryKey: computed(() => keys.sheet(client(), page())),
    queryFn: () => taken(api.GET('/api/clients/{client}/pages/{page}/sheet', ofPage(client, page))),
  })
}

export function useBrief(client: Id, page: Id) {
  return useQuery({
    queryKey: computed(() => keys.brief(client(), page())),
    queryFn: () => taken(api.GET('/api/clients/{client}/pages/{page}/brief', ofPage(client, page))),
  })
}

/** What a figure of the sheet was counted in, with a phrase marked. */
export function useEvidence(client: Id, page: Id, entry: Id, phrase: () => string, enabled: () => boolean) {
  return useQuery({
    queryKey: computed(() => keys.evidence(client(), page(), entry(), phrase())),
    enabled: computed(enabled),
    queryFn: () => {
      const { params } = ofColumn(client, page, entry)
      return taken(
        api.GET('/api/clients/{client}/pages/{page}/evidence', {
          params: { ...params, query: { ...params.query, phrase: phrase() } },
        }),
      )
    },
  })
}

/** All there is on a page of the sheet beside its words. */
export function usePageFacts(client: Id, page: Id, entry: Id) {
  return useQuery({
    queryKey: computed(() => keys.facts(client(), page(), entry())),
    queryFn: () => taken(api.GET('/api/clients/{client}/pages/{page}/facts', ofColumn(client, page, entry))),
  })
}

/** What a page's copy is made of, and what its rivals share. */
export function useMadeOf(client: Id, page: Id, entry: Id) {
  return useQuery({
    queryKey: computed(() => keys.madeOf(client(), page(), entry())),
    queryFn: () =>
      taken(api.GET('/api/clients/{client}/pages/{page}/made-of', ofColumn(client, page, entry))),
  })
}

/** A client's phrase book in families. */
export function useBook(client: Id, enabled: () => boolean = () => true) {
  return useQuery({
    queryKey: computed(() => keys.book(client())),
    enabled: computed(enabled),
    // Thousands of families are replaced as a whole; watching each is slow.
    shallow: true,
    queryFn: () => taken(api.GET('/api/clients/{client}/book', ofClient(client))),
  })
}

/** Phrases of services, places and patterns that the book does not hold yet. */
export function useCandidates(client: Id) {
  return useQuery({
    queryKey: computed(() => keys.candidates(client())),
    queryFn: () => taken(api.GET('/api/clients/{client}/book/candidates', ofClient(client))),
  })
}

/** The lists of words by which intents are judged. */
export function useLists(client: Id) {
  return useQuery({
    queryKey: computed(() => keys.lists(client())),
    queryFn: () => taken(api.GET('/api/clients/{client}/book/lists', ofClient(client))),
  })
}

/** What the client's site and its rivals' are found for, side by side. */
export function useFound(client: Id) {
  return useQuery({
    queryKey: computed(() => keys.found(client())),
    shallow: true,
    queryFn: () => taken(api.GET('/api/clients/{client}/found', ofClient(client))),
  })
}
