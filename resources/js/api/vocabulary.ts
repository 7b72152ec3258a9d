import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api } from './client'
import type { Vocabulary } from './types'

/** The words that a person chooses among; they do not change while the page lies open. */
export function useVocabulary() {
  const { data } = useQuery({
    queryKey: ['vocabulary'],
    queryFn: () => api<Vocabulary>('GET', '/api/vocabulary'),
    staleTime: Infinity,
  })
  return computed<Vocabulary>(
    () =>
      data.value ?? {
        kinds: [],
        ceilings: [],
        textures: [],
        things: [],
        rules: [],
        ways: [],
        tops: [],
        carries: [],
        bears: [],
        wall_kinds: [],
        purposes: [],
        woods: [],
        articles: [],
        schools: [],
        tools: [],
        papers: [],
      },
  )
}
