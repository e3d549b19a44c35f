import type { QueryClient } from '@tanstack/vue-query'
import { follows } from './follow'
import { client } from './gen/client.gen'
import type { Problem } from './gen/types.gen'

/** What failed where the program did not answer at all. */
const silent: Problem = {
  code: 'no_connection',
  status: 0,
  title: '',
  detail: 'The program did not answer. Check that it is still running.',
}

/** Lets all calls fail with what the program says of it, and what was asked follow what is changed. */
export function connect(cache: QueryClient) {
  client.setConfig({ baseUrl: '', throwOnError: true })
  client.interceptors.error.use((error, response) =>
    response && typeof error === 'object' && error && 'detail' in error ? (error as Problem) : silent,
  )
  client.interceptors.response.use(follows(cache))
}
