import { useMutation, useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { type Change } from './changes'
import { api, taken, type Choice, type Id, type OutlineEdits } from './client'
import { keys } from './keys'

const ofClient = (client: Id) => ({ params: { path: { client: client() } } })

/** What all pages of a client must have, in the order of work. */
export function usePlan(client: Id, enabled: () => boolean = () => true) {
  return useQuery({
    queryKey: computed(() => keys.plan(client())),
    enabled: computed(enabled),
    queryFn: () => taken(api.GET('/api/clients/{client}/plan', ofClient(client))),
  })
}

/** The sums that made the figures of a target or of one of its parts. */
export function useWhy(client: Id, target: () => string, part: () => string) {
  return useQuery({
    queryKey: computed(() => keys.why(client(), target(), part())),
    enabled: computed(() => target() !== ''),
    queryFn: () =>
      taken(
        api.GET('/api/clients/{client}/plan/why', {
          params: { path: { client: client() }, query: { target: target(), part: part() } },
        }),
      ),
  })
}

/** The sections that a page should have. */
export function useOutline(client: Id, page: () => string) {
  return useQuery({
    queryKey: computed(() => keys.outline(client(), page())),
    enabled: computed(() => page() !== ''),
    queryFn: () =>
      taken(
        api.GET('/api/clients/{client}/plan/outline', {
          params: { path: { client: client() }, query: { page: page() } },
        }),
      ),
  })
}

export function useOutlineChange(client: Id) {
  return useMutation({
    mutationFn: ({ page, to, was }: { page: string } & Change<OutlineEdits>) =>
      taken(
        api.PUT('/api/clients/{client}/plan/outline', {
          params: { path: { client: client() }, query: { page } },
          body: { ...to, was },
        }),
      ),
  })
}

/** Rival by rival: who leads on which front, and what passes it. */
export function useLadder(client: Id, page: () => string) {
  return useQuery({
    queryKey: computed(() => keys.ladder(client(), page())),
    queryFn: () =>
      taken(
        api.GET('/api/clients/{client}/plan/ladder', {
          params: { path: { client: client() }, query: { page: page() } },
        }),
      ),
  })
}

/** The images of all pages with the names that they should have. */
export function useImageNames(client: Id) {
  return useQuery({
    queryKey: computed(() => keys.images(client())),
    queryFn: () => taken(api.GET('/api/clients/{client}/plan/images', ofClient(client))),
  })
}

/** What is said of a target or of a part of one, and what was said when the change began. */
export type Said = { page: string; key: string; was: Choice } & Choice

/** A target that is added by hand. */
export type OwnDraft = { id?: number; page?: string; text: string; gain?: number; minutes: number }

/** Changes of a plan. */
export function usePlanChanges(client: Id) {
  return {
    choose: useMutation({
      mutationFn: (said: Said[]) =>
        taken(api.PUT('/api/clients/{client}/plan/choices', { ...ofClient(client), body: { said } })),
    }),
    add: useMutation({
      mutationFn: (body: OwnDraft) =>
        taken(api.POST('/api/clients/{client}/plan/own', { ...ofClient(client), body })),
    }),
    remove: useMutation({
      mutationFn: (own: number) =>
        taken(
          api.DELETE('/api/clients/{client}/plan/own/{own}', { params: { path: { client: client(), own } } }),
        ),
    }),
  }
}

/** Changes of figures by their keys; an empty value brings the other back. */
export type FigureChanges = Record<string, string>

/** The figures of a client, those of the workspace for 0. */
export function useFigures(client: Id) {
  return useQuery({
    queryKey: computed(() => keys.yardstick(client())),
    queryFn: () =>
      client()
        ? taken(api.GET('/api/clients/{client}/yardstick', ofClient(client)))
        : taken(api.GET('/api/yardstick')),
  })
}

export function usePresets() {
  return useQuery({ queryKey: keys.presets, queryFn: () => taken(api.GET('/api/yardstick/presets')) })
}

/** Changes figures of a client or, if `all` says so, of the workspace; and tells what would follow. */
export function useFigureChanges(client: Id, all: () => boolean) {
  return {
    preview: useMutation({
      mutationFn: (changes: FigureChanges) =>
        taken(
          api.POST('/api/clients/{client}/yardstick/preview', {
            ...ofClient(client),
            body: { changes, workspace: all() },
          }),
        ),
    }),
    change: useMutation({
      mutationFn: ({ to, was }: Change<FigureChanges>) => {
        const body = { changes: to, was }
        return all()
          ? taken(api.PUT('/api/yardstick', { body }))
          : taken(api.PUT('/api/clients/{client}/yardstick', { ...ofClient(client), body }))
      },
    }),
    read: useMutation({
      mutationFn: (yaml: string) =>
        taken(
          api.PUT('/api/yardstick.yaml', {
            params: { query: { client: all() ? 0 : client() } },
            body: { yaml },
          }),
        ),
    }),
  }
}
