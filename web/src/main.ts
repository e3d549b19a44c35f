import './styles/tokens.css' // the order of the layers first
import '@fontsource/ibm-plex-mono/latin-400.css'
import '@fontsource/ibm-plex-sans/latin-400.css'
import '@fontsource/ibm-plex-sans/latin-600.css'
import '@fontsource/zilla-slab/latin-600.css'
import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import { connect } from './api/client'
import { router } from './router'
import { vuetify } from './theme'
import './styles/base.css'
import './styles/layout.css'

const queryClient = new QueryClient({
  defaultOptions: { queries: { retry: false, staleTime: 5_000, refetchOnWindowFocus: false } },
})

connect(queryClient)

createApp(App).use(createPinia()).use(router).use(vuetify).use(VueQueryPlugin, { queryClient }).mount('#app')
